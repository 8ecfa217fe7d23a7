<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Prompt;

/**
 * A recording that is far shorter or longer than its words: perhaps another file.
 *
 * @implements Check<Prompt>
 */
final class TakeOfAnotherLength implements Check
{
    /** Words from which on their number tells anything. */
    private const ENOUGH = 5;
    /** So many times as long or as short as at an ordinary pace (common practice). */
    private const TIMES = 2.5;

    public function looksAt(): array
    {
        return [Prompt::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach (TakesInUse::of($element) as $pointer => [$take, $script]) {
            $expected = Prompt::estimate($script);
            $times = $take->sound->milliseconds / 1000 / max(1, $expected);
            if (Prompt::words($script) >= self::ENOUGH && ($times > self::TIMES || $times < 1 / self::TIMES)) {
                yield Finding::warning($element, $pointer, 'take-of-another-length', [
                    'seconds' => $take->sound->seconds(),
                    'expected' => $expected,
                ]);
            }
        }
    }
}
