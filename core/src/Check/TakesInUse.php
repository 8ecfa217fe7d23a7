<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Take;

/** The takes that callers hear, each with its place and the script it stands for. */
final class TakesInUse
{
    /** @return iterable<string, array{Take, string}> the take and the script in its language, by its JSON Pointer */
    public static function of(Prompt $prompt): iterable
    {
        foreach (array_values($prompt->sounds->takes) as $i => $take) {
            if ($prompt->sounds->inUse($take->language) === $take) {
                yield '/takes/' . $i => [$take, $prompt->scripts[$take->language] ?? ''];
            }
        }
    }
}
