<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\FaxStep;

/**
 * A fax step that listens for less long than it may take until a fax machine is heard.
 *
 * @implements Check<Journey>
 */
final class FaxMissed implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            if ($step instanceof FaxStep && $step->seconds < FaxStep::HEARD_WITHIN) {
                yield Finding::warning(
                    $element,
                    $place . '/seconds',
                    'fax-missed',
                    ['seconds' => $step->seconds, 'enough' => FaxStep::HEARD_WITHIN],
                    Fix::replace($element, $place . '/seconds', FaxStep::HEARD_WITHIN),
                );
            }
        }
    }
}
