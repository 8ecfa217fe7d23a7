<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Json\PlanCodec;

/** Lets what mentions one element mention another in its place: to merge the two, or to take the first away. */
final readonly class Rewiring
{
    /**
     * @param array<string, string> $parts new name by old, of parts that the other element has too: what is said of more than
     *                                     these is said of the other itself, or left out where a part stands by itself
     */
    public function __construct(private string $from, private string $to, private array $parts) {}

    /** @return list<Element> those that change, as they are to be */
    public function of(Plan $plan): array
    {
        $changed = [];
        foreach ($plan->usesOf($this->from) as $place) {
            $changed[$place->user->id()] ??= $this->rewired($place->user);
        }

        return array_values($changed);
    }

    public function rewired(Element $element): Element
    {
        $json = $element->toJson();
        $lists = $gone = [];
        foreach ($element->references() as $reference) {
            if ($reference->id !== $this->from) {
                continue;
            }
            $keys = explode('/', substr($reference->pointer, 1));
            $place = (int) array_key_last(array_filter($keys, ctype_digit(...)));
            self::change($json, $keys, function (mixed $value) use (
                $element,
                $reference,
                $keys,
                $place,
                &$gone,
            ): ?string {
                if ($value === $reference->part) {
                    isset($this->parts[$value]) || ($gone[] = \array_slice($keys, 0, $place + 1));

                    return $this->parts[$value] ?? $value;
                }

                return $element->id() === $this->to ? null : $this->name(\is_string($value) ? $value : '');
            });
            $lists[] = \array_slice($keys, 0, $place);
        }
        // The last of a list first: those before it stay where they are.
        foreach (array_reverse($gone) as $keys) {
            $at = (int) array_pop($keys);
            self::change(
                $json,
                $keys,
                static fn(mixed $list): mixed => \is_array($list)
                    ? array_values(array_diff_key($list, [$at => 0]))
                    : $list,
            );
        }
        foreach ($lists as $keys) {
            self::change($json, $keys, self::onceEach(...));
        }

        return PlanCodec::element($json);
    }

    private function name(string $value): string
    {
        $part = $this->parts[Target::parse($value)->phone ?? ''] ?? null;

        return null === $part ? $this->to : Target::phone($this->to, $part)->text();
    }

    /**
     * @param list<string> $keys
     */
    private static function change(mixed &$json, array $keys, \Closure $change): void
    {
        if ([] === $keys) {
            $json = $change($json);
        } elseif (\is_array($json) && \array_key_exists($keys[0], $json)) {
            self::change($json[$keys[0]], \array_slice($keys, 1), $change);
        }
    }

    /** Nobody stands in a list of people or members twice; a tier that nobody is left in closes up. */
    private static function onceEach(mixed $list): mixed
    {
        if (!\is_array($list) || !array_is_list($list)) {
            return $list;
        }
        $kept = $tiers = [];
        foreach ($list as $item) {
            $who = \is_array($item) ? $item['who'] ?? null : $item;
            if (\is_string($who)) {
                $kept[$who] ??= $item;
            } else {
                $kept[] = $item;
            }
        }
        foreach ($kept as $item) {
            $tier = \is_array($item) ? $item['tier'] ?? null : null;
            if (\is_int($tier)) {
                $tiers[$tier] = $tier;
            }
        }
        sort($tiers);

        return array_map(
            static fn(mixed $item): mixed => \is_array($item) && isset($item['tier'])
                ? ['tier' => 1 + array_search($item['tier'], $tiers, true)] + $item
                : $item,
            array_values($kept),
        );
    }
}
