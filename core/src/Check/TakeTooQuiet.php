<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Prompt;

/**
 * A recording so quiet that its noise came up with it.
 *
 * @implements Check<Prompt>
 */
final class TakeTooQuiet implements Check
{
    /** LUFS below which the noise of an ordinary room is heard once it is brought to a usual level (common practice). */
    private const QUIET = -40;

    public function looksAt(): array
    {
        return [Prompt::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach (TakesInUse::of($element) as $pointer => [$take, $script]) {
            $loudness = $take->measures->loudness;
            if (null !== $loudness && $loudness < self::QUIET) {
                yield Finding::warning($element, $pointer, 'take-too-quiet', ['loudness' => $loudness]);
            }
        }
    }
}
