<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Value\Lists;

/** One element put in the place of another, everywhere or in some of what mentions that; the other stays in the plan. */
final class InPlaceOf
{
    /**
     * @param list<Place> $places
     *
     * @return list<Kind> of which an element may stand in all of them
     */
    public static function kinds(array $places): array
    {
        return array_values(
            array_filter(
                Kind::cases(),
                static fn(Kind $kind): bool => [] ===
                    array_filter(
                        $places,
                        static fn(Place $place): bool => !Lists::has($place->reference->allowed, $kind),
                    ),
            ),
        );
    }

    /**
     * What the one that is put there mentions itself stays as it is.
     *
     * @param list<string>|null $in ids of those that are to mention it; null for all
     *
     * @return list<Element> as they are to be
     *
     * @throws InvalidData when one of them cannot be so, under its id
     */
    public static function elements(Plan $plan, Element $of, Element $put, ?array $in = null): array
    {
        $rewiring = new Rewiring([$of->id() => Instead::asItIs($put->id(), $of->parts(), $put->parts())]);
        $changed = [];
        foreach ($plan->usesOf($of->id()) as $place) {
            $id = $place->user->id();
            if ($id === $put->id() || isset($changed[$id]) || (null !== $in && !Lists::has($in, $id))) {
                continue;
            }
            try {
                $changed[$id] = $rewiring->rewired($place->user);
            } catch (InvalidData $invalid) {
                throw $invalid->under('/' . $id);
            }
        }

        return array_values($changed);
    }
}
