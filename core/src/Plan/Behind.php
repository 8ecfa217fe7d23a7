<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;

/** Everything behind a number, a journey or whatever else takes calls: what its calls may come to, as a plan of its own. */
final class Behind
{
    /** Elements that are looked at: what leads everywhere is cut there. */
    private const MOST = 5_000;

    public static function of(Plan $plan, Element $start): Plan
    {
        $found = [];
        $next = [$start->id(), ...$start instanceof Number ? self::people($plan, $start) : []];
        while (null !== ($id = array_shift($next)) && \count($found) < self::MOST) {
            $element = isset($found[$id]) ? null : $plan->find($id);
            // Other numbers are mentioned where they are shown or called, and have calls of their own.
            if (null === $element || ($element instanceof Number && $id !== $start->id())) {
                continue;
            }
            $found[$id] = $element;
            foreach ($element->references() as $reference) {
                $next[] = $reference->id;
            }
        }

        return Plan::of($plan->name, $found);
    }

    /** @return list<string> those whose extensions a block is for, by id */
    private static function people(Plan $plan, Number $number): array
    {
        if ('' === $number->range->extension()) {
            return [];
        }

        return array_values(
            array_map(
                static fn(Person $person): string => $person->id(),
                array_filter(
                    $plan->all(Person::class),
                    static fn(Person $person): bool => null !==
                        $number->range->block?->numberOf($person->known->extension),
                ),
            ),
        );
    }
}
