<?php

declare(strict_types=1);

namespace Meandros\Core\People;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Rewiring;

/** Puts one person in another's place everywhere, so that the first can be taken away. */
final class Merging
{
    /**
     * @param bool $withPhones whether the phones come along, and what the other lacks: extension, own mailbox, rules
     *
     * @return list<Element> elements that change; the first person is to be removed with them
     */
    public static function elements(Plan $plan, Person $from, Person $into, bool $withPhones): array
    {
        $names = $withPhones ? self::names($from, $into) : [];
        $rewiring = new Rewiring($from->id(), $into->id(), $names);
        $merged = $rewiring->rewired($into);
        \assert($merged instanceof Person);
        $changed = [$into->id() => $withPhones ? self::with($merged, $from, $names) : $merged];
        foreach ($rewiring->of($plan) as $element) {
            if ($element->id() !== $from->id()) {
                $changed[$element->id()] ??= $element;
            }
        }

        return array_values($changed);
    }

    /** @return array<string, string> the id that each phone gets within the other person, by its own */
    private static function names(Person $from, Person $into): array
    {
        $taken = array_map(static fn(Phone $phone): string => $phone->id, $into->phones);
        $names = [];
        foreach ($from->phones as $phone) {
            $name = $phone->id;
            for ($n = 2; \in_array($name, $taken, true); ++$n) {
                $name = $phone->id . $n;
            }
            $names[$phone->id] = $taken[] = $name;
        }

        return $names;
    }

    /** @param array<string, string> $names */
    private static function with(Person $into, Person $from, array $names): Person
    {
        $phones = $into->phones;
        foreach ($from->phones as $phone) {
            $phones[] = $phone->called($names[$phone->id]);
        }
        $merged = new Person(
            $into->id(),
            $into->name(),
            '' === $into->extension ? $from->extension : $into->extension,
            $into->site,
            $phones,
            $into->mailbox ?? $from->mailbox,
            $into->rules,
            $into->refusesForAll,
            $into->listing,
            $into->shows,
        );

        return [] === $into->rules ? $merged->withRules(RuleCopy::rules($from, $merged, $names)) : $merged;
    }
}
