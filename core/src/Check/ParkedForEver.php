<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\ParkStep;

/**
 * A park step from which a call never comes back where nobody takes it.
 *
 * @implements Check<Journey>
 */
final class ParkedForEver implements Check
{
    /** Seconds after which somebody should hear what is going on (common practice: one to three minutes). */
    private const PATIENCE = 120;

    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            if ($step instanceof ParkStep && 0 === $step->seconds) {
                yield Finding::warning(
                    $element,
                    $place . '/seconds',
                    'parked-for-ever',
                    [],
                    Fix::replace($element, $place . '/seconds', self::PATIENCE),
                );
            }
        }
    }
}
