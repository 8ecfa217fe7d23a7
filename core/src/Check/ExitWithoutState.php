<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\HoursStep;

/**
 * An exit for a state that the hours do not have: it is never taken.
 *
 * @implements Check<Journey>
 */
final class ExitWithoutState implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            $hours = $step instanceof HoursStep ? $survey->plan->get(Hours::class, $step->hours) : null;
            foreach ($step->exits()->items as $i => $exit) {
                if (null !== $hours && null === $hours->states->find($exit->on)) {
                    yield Finding::blocking($element, \sprintf('%s/exits/%d', $place, $i), 'exit-without-state', [
                        'hours' => $hours->name(),
                        'state' => $exit->on,
                    ]);
                }
            }
        }
    }
}
