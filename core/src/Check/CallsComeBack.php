<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;

/**
 * Somebody who passes calls on to people who pass them back.
 *
 * @implements Check<Person>
 */
final class CallsComeBack implements Check
{
    public function looksAt(): array
    {
        return [Person::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->reach->rules as $i => $rule) {
            foreach ($rule->term->on ? $rule->then : [] as $name => $outcome) {
                if (
                    null !== $outcome->to?->element &&
                    self::comesBack($survey->plan, $element->id(), $outcome->to->element)
                ) {
                    $fix = Fix::replace($element, \sprintf('/rules/%d/next/%s', $i, $name), null);
                    yield Finding::warning(
                        $element,
                        '/rules/' . $i,
                        'calls-come-back',
                        ['person' => $element->name()],
                        $fix,
                    );
                    break;
                }
            }
        }
    }

    /** @param array<string, true> $seen people who were looked at: none is looked at twice */
    private static function comesBack(Plan $plan, string $start, string $id, array &$seen = []): bool
    {
        if ($id === $start) {
            return true;
        }
        $person = isset($seen[$id]) ? null : $plan->get(Person::class, $id);
        $seen[$id] = true;
        foreach ($person->reach->rules ?? [] as $rule) {
            foreach ($rule->term->on ? $rule->then : [] as $outcome) {
                if (null !== $outcome->to?->element && self::comesBack($plan, $start, $outcome->to->element, $seen)) {
                    return true;
                }
            }
        }

        return false;
    }
}
