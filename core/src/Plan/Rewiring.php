<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Json\Within;

/** Lets what mentions elements mention others in their place: to merge two, to take one away, or to copy what mentions it. */
final readonly class Rewiring
{
    /** @param array<string, Instead> $instead by the id of what is mentioned */
    public function __construct(private array $instead) {}

    /** @param bool $isTheOther whether what mentions it is the other itself: it is not to mention itself */
    public function rewired(Element $element, bool $isTheOther = false): Element
    {
        $json = PlanCodec::data($element);
        $lists = $gone = [];
        foreach ($element->references() as $reference) {
            $instead = $this->instead[$reference->id] ?? null;
            if (null === $instead) {
                continue;
            }
            $keys = Within::keys($reference->pointer);
            $item = Within::item($keys);
            Within::change($json, $keys, static function (mixed $value) use (
                $instead,
                $isTheOther,
                $reference,
                $item,
                &$gone,
            ): ?string {
                if ($value === $reference->part) {
                    isset($instead->parts[$value]) || ($gone[] = $item);

                    return $instead->parts[$value] ?? $value;
                }

                return $isTheOther ? null : self::name(\is_string($value) ? $value : '', $instead);
            });
            $lists[] = \array_slice($item, 0, -1);
        }
        if ([] === $lists) {
            return $element;
        }
        Within::drop($json, $gone);
        foreach ($lists as $keys) {
            Within::change($json, $keys, self::onceEach(...));
        }

        return PlanCodec::element($json);
    }

    private static function name(string $value, Instead $instead): string
    {
        $part = $instead->parts[Target::parse($value)->phone ?? ''] ?? null;

        return null === $part ? $instead->id : Target::phone($instead->id, $part)->text();
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
