<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Copy;

use Meandros\Core\Plan\Dialled;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Instead;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Json\Within;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Place;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Rewiring;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Value\Lists;

/**
 * Copies of elements under names of their own, that mention each other as what they are copied from does. What can be dialled
 * is there once: a copy goes without it.
 */
final class Copies
{
    /** So many are looked for: a journey may lead to the whole plan. */
    private const MOST = 200;
    /** People are themselves, and a number is dialled. */
    private const NEVER = [Kind::Person, Kind::Number, Kind::Settings];

    public static function mayBe(Kind $kind): bool
    {
        return !Lists::has(self::NEVER, $kind);
    }

    /**
     * @return list<Copyable> the element, and what it comes to that may be copied along, the nearest first
     */
    public static function along(Plan $plan, Element $first): array
    {
        $found = [$first->id() => $first];
        $mentions = $places = [];
        $next = [$first];
        while (null !== ($element = array_shift($next))) {
            foreach ($element->references() as $reference) {
                $id = $reference->id;
                $mentioned = $found[$id] ?? $plan->find($id);
                if (null === $mentioned || !self::mayBe($mentioned->kind())) {
                    continue;
                }
                if (!isset($found[$id]) && \count($found) < self::MOST) {
                    $found[$id] = $next[] = $mentioned;
                }
                $mentions[$element->id()][$id] = $id;
                null === $reference->part && ($places[$id][] = new Place($element, $reference));
            }
        }

        return array_map(
            static fn(Element $one): Copyable => new Copyable(
                $one,
                array_values(array_intersect_key($mentions[$one->id()] ?? [], $found)),
                $places[$one->id()] ?? [],
            ),
            array_values($found),
        );
    }

    /**
     * @param array<string, Copy>   $copies  by the id of what is copied
     * @param array<string, string> $instead id of what copies mention, by the id of what they would mention; of what is copied, they mention the copy
     *
     * @return list<Element>
     *
     * @throws InvalidData when one of them cannot be so, under the id of what it is copied from
     */
    public static function of(Plan $plan, array $copies, array $instead): array
    {
        $rewiring = new Rewiring(self::instead($plan, $copies, $instead));
        $made = [];
        foreach ($copies as $id => $copy) {
            $element = $plan->find($id);
            if (null === $element) {
                continue;
            }
            try {
                $made[] = self::copy($rewiring->rewired($element), $copy);
            } catch (InvalidData $invalid) {
                throw $invalid->under('/' . $id);
            }
        }

        return $made;
    }

    /**
     * @param array<string, Copy>   $copies
     * @param array<string, string> $others
     *
     * @return array<string, Instead>
     */
    private static function instead(Plan $plan, array $copies, array $others): array
    {
        $instead = [];
        foreach ($others as $id => $other) {
            $instead[$id] = Instead::asItIs($other, $plan->find($id)?->parts(), $plan->find($other)?->parts());
        }
        foreach ($copies as $id => $copy) {
            $parts = $plan->find($id)?->parts();
            $instead[$id] = Instead::asItIs($copy->id, $parts, $parts);
        }

        return $instead;
    }

    private static function copy(Element $element, Copy $copy): Element
    {
        $json = PlanCodec::data($element);
        $items = [];
        foreach (array_keys(Dialled::by($element)) as $pointer) {
            $keys = Within::keys($pointer);
            $item = Within::item($keys);
            if ([] !== $item) {
                $items[] = $item;
            } else {
                Within::change($json, $keys, static fn(): string => '');
            }
        }
        Within::drop($json, $items);

        return PlanCodec::element(['id' => $copy->id, 'name' => $copy->name] + (array) $json);
    }
}
