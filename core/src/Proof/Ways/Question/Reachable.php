<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Spelled;
use Meandros\Core\Plan\Step\DialScope;
use Meandros\Core\Plan\Step\MenuDialling;

/** Who may be asked for by extension or name in a plan, found without looking through a large one; once for all that ask for the same. */
final class Reachable
{
    /** Of more people not everybody is tried. */
    private const MOST = 40;

    /** @var array<string, list<Person>> by whom it may be asked for */
    private array $found = [];

    public function __construct(private readonly Plan $plan) {}

    /** @return list<Person> of a large plan only some */
    public function people(MenuDialling $dial): array
    {
        return \array_slice($this->found($dial), 0, self::MOST);
    }

    public function areAll(MenuDialling $dial): bool
    {
        return \count($this->found($dial)) <= self::MOST;
    }

    /** @return list<Person> */
    private function found(MenuDialling $dial): array
    {
        return $this->found[serialize($dial)] ??= $this->find($dial);
    }

    /** @return list<Person> */
    private function find(MenuDialling $dial): array
    {
        if (DialScope::Some === $dial->scope) {
            return array_values(
                array_filter(array_map(fn(string $id): ?Person => $this->plan->get(Person::class, $id), $dial->people)),
            );
        }
        $found = [];
        foreach ([Spelled::EXTENSION, Spelled::LAST] as $part) {
            for ($keys = 0; $keys < 100 && \count($found) <= self::MOST; ++$keys) {
                $mention = Spelled::mention($part, \sprintf('%02d', $keys));
                foreach ($this->plan->mentioning($mention, Kind::Person) as $person) {
                    $person instanceof Person && $dial->mayReach($person) && ($found[$person->id()] = $person);
                }
            }
        }

        return array_values($found);
    }
}
