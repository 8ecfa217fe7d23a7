<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Step\RingLength;

/**
 * A stage of a rule for which a step leaves no time. A first stage that is cut is only what the limit is for.
 *
 * @implements Check<Journey>
 */
final class StageCut implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($survey->ringStepsOf($element) as $place => $step) {
            $person = $step->length->handOver ? null : $survey->plan->get(Person::class, $step->target?->element);
            foreach ($person->reach->rules ?? [] as $rule) {
                foreach ($rule->term->on ? $rule->ringing->stages : [] as $i => $stage) {
                    if ($stage->after > 0 && $stage->end() > $step->length->seconds) {
                        $needed = $rule->ringing->seconds();
                        yield Finding::warning(
                            $element,
                            $place,
                            $stage->after >= $step->length->seconds ? 'stage-never-starts' : 'stage-cut',
                            [
                                'person' => $person?->name() ?? '',
                                'limit' => $step->length->seconds,
                                'stage' => $i + 1,
                                'rule' => $rule->name,
                                'seconds' => $stage->seconds,
                            ],
                            Fix::replace($element, $place . '/seconds', min(RingLength::LONGEST, $needed), [
                                'needed' => $needed,
                            ]),
                        );
                        break;
                    }
                }
            }
        }
    }
}
