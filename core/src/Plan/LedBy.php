<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Site;

/** The numbers by which calls may come to an element: straight, or by journeys, people, teams and queues that lead on. */
final class LedBy
{
    /** Elements that are looked at: what everything leads to is said of the first ones. */
    private const MOST = 2_000;

    /** @return list<Number> by name */
    public static function of(Plan $plan, string $id): array
    {
        // One is dialled, or shown: calls to others do not come there.
        if (Kind::Number === $plan->kindOf($id)) {
            return [];
        }
        $numbers = [];
        $seen = [$id => true];
        for ($next = [$id]; null !== ($one = array_shift($next)) && \count($seen) < self::MOST; ) {
            $person = $plan->get(Person::class, $one);
            foreach (OwnNumber::blocksFor($plan, $person->known->extension ?? '') as $block) {
                $numbers[$block->id()] = $block;
            }
            foreach ($plan->mentioning($one) as $user) {
                if ($user instanceof Number && $user->target?->element === $one) {
                    $numbers[$user->id()] = $user;
                }
                if (
                    !isset($seen[$user->id()]) &&
                    !($user instanceof Number) &&
                    !($user instanceof Site) &&
                    !($user instanceof OutsideLine)
                ) {
                    $seen[$user->id()] = true;
                    $next[] = $user->id();
                }
            }
        }
        usort($numbers, static fn(Number $a, Number $b): int => [$a->name(), $a->id()] <=> [$b->name(), $b->id()]);

        return $numbers;
    }
}
