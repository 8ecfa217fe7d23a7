<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;

/**
 * A greeting that begins when the step is over.
 *
 * @implements Check<Journey>
 */
final class GreetingTooLate implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($survey->ringStepsOf($element) as $place => $step) {
            if (null !== $step->greeting->prompt && $step->greeting->after >= $step->length->seconds) {
                $fix = Fix::replace($element, $place . '/greetAfter', intdiv($step->length->seconds, 2));
                yield Finding::warning(
                    $element,
                    $place,
                    'greeting-too-late',
                    ['after' => $step->greeting->after, 'seconds' => $step->length->seconds],
                    $fix,
                );
            }
        }
    }
}
