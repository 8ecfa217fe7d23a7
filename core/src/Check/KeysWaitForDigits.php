<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Plan\Step\StepExit;

/**
 * A menu whose keys take longer, for an extension may begin with them.
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
            $digits = $step instanceof MenuStep && null !== $step->dial ? array_filter($step->exits()->items, static fn (StepExit $exit): bool => 1 === preg_match('/^[0-9]$/D', $exit->on)) : [];
            if ($step instanceof MenuStep && null !== $step->dial && [] !== $digits && $step->dial->digitSeconds > self::BEARABLE) {
                $keys = implode(', ', array_map(static fn (StepExit $exit): string => $exit->on, $digits));
                yield Finding::warning($element, $place.'/dial', 'keys-wait-for-digits', ['keys' => $keys, 'seconds' => $step->dial->digitSeconds], Fix::replace($element, $place.'/dial/digitSeconds', self::BEARABLE));
            }
        }
    }
}
