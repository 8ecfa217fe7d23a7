<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** How the machine voice reads a script. */
final readonly class MachineReading
{
    /** @param string $words that it read */
    public function __construct(public Sound $sound, public string $words) {}

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['sound', 'milliseconds', 'words']);

        return new self(Sound::fromJson($in), $in->field('words')->optionalText(Prompt::LONGEST_SCRIPT));
    }

    /** @return array{sound: string, milliseconds: int, words: string} */
    public function toJson(): array
    {
        return [...$this->sound->toJson(), 'words' => $this->words];
    }
}
