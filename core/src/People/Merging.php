<?php

declare(strict_types=1);

namespace Meandros\Core\People;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Instead;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Rewiring;
use Meandros\Core\Value\Lists;

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
        $rewiring = new Rewiring([$from->id() => new Instead($into->id(), $names)]);
        $merged = $rewiring->rewired($into, true);
        \assert($merged instanceof Person);
        $changed = [$into->id() => $withPhones ? self::with($merged, $from, $names) : $merged];
        foreach ($plan->usesOf($from->id()) as $place) {
            if ($place->user->id() !== $from->id()) {
                $changed[$place->user->id()] ??= $rewiring->rewired($place->user);
            }
        }

        return array_values($changed);
    }

    /** @return array<string, string> the id that each phone gets within the other person, by its own */
    private static function names(Person $from, Person $into): array
    {
        $taken = array_map(static fn(Phone $phone): string => $phone->id, $into->reach->phones);
        $names = [];
        foreach ($from->reach->phones as $phone) {
            $name = $phone->id;
            for ($n = 2; Lists::has($taken, $name); ++$n) {
                $name = $phone->id . $n;
            }
            $names[$phone->id] = $taken[] = $name;
        }

        return $names;
    }

    /** @param array<string, string> $names */
    private static function with(Person $into, Person $from, array $names): Person
    {
        $phones = array_map(static fn(Phone $phone): Phone => $phone->called($names[$phone->id]), $from->reach->phones);
        $merged = new Person(
            $into->about(),
            $into->site,
            $into->known->orExtension($from->known->extension),
            $into->reach->and($from->reach->mailbox, ...$phones),
        );
        $rules = $into->reach->rules;

        return $merged->reachedBy(
            $merged->reach->withRules([] === $rules ? RuleCopy::rules($from, $merged, $names) : $rules),
        );
    }
}
