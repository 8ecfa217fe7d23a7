<?php

declare(strict_types=1);

namespace Meandros\Core\Script;

/** What somebody said, and which of a menu's words it was taken for. */
final readonly class Understood
{
    /**
     * @param string      $said    by the caller
     * @param string|null $key     that it does; null where it was not understood
     * @param string|null $word    of the menu that it was taken for
     * @param int         $letters in which the two differ
     */
    public function __construct(
        public string $said,
        public ?string $key = null,
        public ?string $word = null,
        public bool $isAmong = false,
        public int $letters = 0,
    ) {}

    /** @return array{said: string, word: string|null, among: bool, letters: int} */
    public function toJson(): array
    {
        return ['said' => $this->said, 'word' => $this->word, 'among' => $this->isAmong, 'letters' => $this->letters];
    }
}
