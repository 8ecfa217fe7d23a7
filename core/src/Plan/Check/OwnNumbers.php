<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Plan\Called;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Plan;

/** Finds steps and rules that call one of our own numbers, and phones of several people that are one. */
final class OwnNumbers
{
    /** @return list<Finding> */
    public static function in(Plan $plan): array
    {
        $own = $owners = $findings = [];
        foreach ($plan->all(Number::class) as $number) {
            $own[$number->number] = $number;
        }
        foreach ([...$plan->all(Person::class), ...$plan->all(Team::class), ...$plan->all(Journey::class)] as $element) {
            foreach (Called::by($element) as $pointer => $called) {
                if (isset($own[$called])) {
                    $findings[] = self::comesBackIn($plan, $element, $pointer, $own[$called]);
                }
            }
        }
        foreach ($plan->all(Person::class) as $person) {
            foreach (Called::phonesOf($person) as $pointer => $called) {
                if (isset($owners[$called])) {
                    $findings[] = Finding::warning($person, $pointer, \sprintf('%s has a phone with this number too: when both ring, the second call finds it busy.', $owners[$called]->name()), 'Let it be the phone of one of the two.');
                }
                $owners[$called] ??= $person;
            }
        }

        return $findings;
    }

    private static function comesBackIn(Plan $plan, Element $element, string $pointer, Number $number): Finding
    {
        $target = $plan->find($number->target?->element);
        $fits = $element instanceof Person || $target instanceof Person || $target instanceof Team;
        $fix = null === $target || !$fits ? null : Fix::replace(\sprintf('Use %s instead', $target->name()), $element->id(), $pointer, $target->id());

        return Finding::warning($element, $pointer, \sprintf('This is our own number “%s”: the call comes in there once more, as one from inside.', $number->name()), 'Choose what that number leads to.', $fix);
    }
}
