<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Take;

/** The takes that callers hear, each with its place and its words. */
final class TakesInUse
{
    /** @return iterable<string, array{Take, string}> the take and the words that it stands for, by its JSON Pointer */
    public static function of(Prompt $prompt): iterable
    {
        foreach (array_values($prompt->sounds->takes) as $i => $take) {
            foreach ($prompt->scriptParts($take->of->language) as $part) {
                if ($prompt->sounds->inUse($part) === $take) {
                    yield '/takes/' . $i => [$take, $part->words];
                }
            }
        }
    }
}
