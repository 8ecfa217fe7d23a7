<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Spelled;
use Meandros\Core\Plan\Step\DialScope;
use Meandros\Core\Plan\Step\MenuDialling;

/** Who may be asked for by extension or name, found without looking through a large plan. */
final class Reachable
{
    /** Of more people not everybody is tried. */
    private const MOST = 40;

    /** @return list<Person> of a large plan only some */
    public static function people(Plan $plan, MenuDialling $dial): array
    {
        return \array_slice(self::found($plan, $dial), 0, self::MOST);
    }

    public static function areAll(Plan $plan, MenuDialling $dial): bool
    {
        return \count(self::found($plan, $dial)) <= self::MOST;
    }

    /** @return list<Person> */
    private static function found(Plan $plan, MenuDialling $dial): array
    {
        if (DialScope::Some === $dial->scope) {
            return array_values(
                array_filter(
                    array_map(static fn(string $id): ?Person => $plan->get(Person::class, $id), $dial->people),
                ),
            );
        }
        $found = [];
        foreach ([Spelled::EXTENSION, Spelled::LAST] as $part) {
            for ($keys = 0; $keys < 100 && \count($found) <= self::MOST; ++$keys) {
                foreach ($plan->mentioning(Spelled::mention($part, \sprintf('%02d', $keys)), Kind::Person) as $person) {
                    $person instanceof Person && $dial->mayReach($person) && ($found[$person->id()] = $person);
                }
            }
        }

        return array_values($found);
    }
}
