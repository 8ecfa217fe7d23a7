<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Spelled;
use Meandros\Core\Plan\Step\MenuStep;

/**
 * A menu whose keys take longer, for an extension may begin with them: always where one does, and where the wait is long.
 *
 * @implements Check<Journey>
 */
final class KeysWaitForDigits implements Check
{
    /** Seconds that callers who press a key hardly notice (common practice: two to four). */
    private const BEARABLE = 3;

    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            $dial = $step instanceof MenuStep ? $step->dial : null;
            if (null === $dial) {
                continue;
            }
            $isLong = $dial->digitSeconds > self::BEARABLE;
            $digits = array_filter(
                $step->exits()->keys(),
                static fn(string $key): bool => ctype_digit($key) &&
                    ($isLong || self::beginsExtension($key, $survey->plan)),
            );
            if ([] !== $digits) {
                $fix = $isLong ? Fix::replace($element, $place . '/dial/digitSeconds', self::BEARABLE) : null;
                yield Finding::warning(
                    $element,
                    $place . '/dial',
                    'keys-wait-for-digits',
                    ['keys' => implode(', ', $digits), 'seconds' => $dial->digitSeconds],
                    $fix,
                );
            }
        }
    }

    /** Whether the extension of somebody who is listed begins with the key. */
    private static function beginsExtension(string $key, Plan $plan): bool
    {
        for ($next = 0; $next <= 9; ++$next) {
            if ($plan->isMentioned(Spelled::mention(Spelled::EXTENSION, $key . $next), Kind::Person)) {
                return true;
            }
        }

        return false;
    }
}
