<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;
use Meandros\Core\Value\Lists;

/** What was read when a take was made. */
final readonly class ReadFrom
{
    /**
     * @param string      $words the script, or its part; empty where nobody said
     * @param string|null $fits  a later script of which somebody said that the take still fits it
     */
    public function __construct(public string $words = '', public ?string $fits = null) {}

    /** @param Input $in the take */
    public static function fromJson(Input $in): self
    {
        $fits = $in->field('fits');

        return new self(
            $in->field('words')->optionalText(Prompt::LONGEST_SCRIPT),
            $fits->isGiven() ? $fits->optionalText(Prompt::LONGEST_SCRIPT) : null,
        );
    }

    /** Whether it is what the script says; nobody can tell where it is not known what was read. */
    public function isOf(string $script): bool
    {
        $same = static fn(string $text): string => (string) preg_replace('/\s+/u', ' ', trim($text));

        return '' === $this->words ||
            Lists::has([$same($this->words), $same($this->fits ?? $this->words)], $same($script));
    }
}
