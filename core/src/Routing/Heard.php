<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Element\LengthFrom;

/** A prompt as a caller hears it. */
final readonly class Heard
{
    /** @param array<string, string> $filled words by the blanks of its script; empty ones where nothing was known */
    public function __construct(
        public ?string $prompt,
        public string $language,
        public int $seconds,
        public LengthFrom $from = LengthFrom::Words,
        public array $filled = [],
    ) {}

    /** @return list<array{blank: string, words: string}> */
    public function filledJson(): array
    {
        $filled = [];
        foreach ($this->filled as $blank => $words) {
            $filled[] = ['blank' => $blank, 'words' => $words];
        }

        return $filled;
    }
}
