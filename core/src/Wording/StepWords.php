<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Step;

/**
 * What a step does, as a sentence on paper: a file for each kind with its words in every language, in ICU MessageFormat. The
 * arguments are the fields of its JSON, with names in place of ids.
 */
final class StepWords
{
    /** @return array<string, string> the pattern of each kind, by "step." and the kind */
    public static function in(string $language): array
    {
        $patterns = [];
        foreach (array_keys(Step::KINDS) as $kind) {
            /** @var array<string, string> $words by language */
            $words = require \sprintf('%s/messages/steps/%s.php', __DIR__, $kind);
            $patterns['step.' . $kind] =
                $words[$language] ?? throw new \OutOfBoundsException("A step \"$kind\" has no words in \"$language\".");
        }

        return $patterns;
    }
}
