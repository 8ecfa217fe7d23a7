<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Element\Prompt;

/** Prompts as callers hear them whenever they do, in each language: those without blanks. */
final class Hearing
{
    /** @var \WeakMap<Prompt, array<string, Heard|null>> */
    private \WeakMap $known;

    public function __construct()
    {
        $this->known = new \WeakMap();
    }

    /** @return Heard|null null where it has blanks in that language */
    public function of(Prompt $prompt, string $language): ?Heard
    {
        $known = $this->known[$prompt] ?? [];
        if (!\array_key_exists($language, $known)) {
            $known[$language] =
                [] === $prompt->script($language)->blanks()
                    ? new Heard($prompt->id(), $language, $prompt->seconds($language), $prompt->lengthFrom($language))
                    : null;
            $this->known[$prompt] = $known;
        }

        return $known[$language];
    }
}
