<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Person;

/**
 * A rule for a state that its hours do not have any more.
 *
 * @implements Check<Person>
 */
final class RuleStateMissing implements Check
{
    public function looksAt(): array
    {
        return [Person::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->reach->rules as $i => $rule) {
            $hours = $survey->plan->get(Hours::class, $rule->term->when->hours);
            foreach ($rule->term->when->states as $state) {
                if (null !== $hours && null === $hours->states->find($state)) {
                    yield Finding::warning($element, '/rules/' . $i, 'rule-state-missing', [
                        'hours' => $hours->name(),
                        'state' => $state,
                    ]);
                }
            }
        }
    }
}
