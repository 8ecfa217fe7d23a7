<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;

/** The numbers whose calls may come to an element: found backwards, from who mentions it to who mentions those. */
final class Touched
{
    /** Who comes to more elements than these comes to most of a plan. */
    private const MANY = 300;

    /**
     * @param list<string> $ids of elements
     *
     * @return array<string, Number> by what is dialled, E.164: of blocks and beginnings one by one, as EachNumber takes them apart
     */
    public static function numbers(Plan $plan, array $ids): array
    {
        $numbers = $seen = [];
        /** @var list<array{string, string|null}> $next ids, and by which it was found */
        $next = array_map(static fn(string $id): array => [$id, null], $ids);
        for ($i = 0; isset($next[$i]); ++$i) {
            [$id, $by] = $next[$i];
            $element = $plan->find($id);
            // Calls to the people of a block come to nothing that stands behind its target.
            $isByTarget = $element instanceof Number && null !== $by && $element->target?->element === $by;
            if (isset($seen[(int) $isByTarget][$id])) {
                continue;
            }
            $seen[(int) $isByTarget][$id] = true;
            self::MANY === \count($seen[0] ?? []) && $plan->foreseeAll();
            $dialled = match (true) {
                $isByTarget => EachNumber::toTarget($plan, $element),
                $element instanceof Number => EachNumber::of($plan, $element),
                $element instanceof Person => EachNumber::toPerson($plan, $element),
                default => [],
            };
            foreach ($dialled as $one) {
                $numbers[$one->range->number] = $one;
                // A number is shown by its id; calls come back in by what is dialled.
                foreach ($plan->mentioning($one->range->number) as $user) {
                    $next[] = [$user->id(), null];
                }
            }
            $users = $element instanceof Number ? [] : $plan->mentioning($id);
            if (null !== $element && !$isByTarget) {
                array_push($users, ...CallsOutside::dependingOn($plan, $element));
            }
            foreach ($users as $user) {
                $next[] = [$user->id(), $id];
            }
        }

        return $numbers;
    }
}
