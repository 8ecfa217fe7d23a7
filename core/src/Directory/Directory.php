<?php

declare(strict_types=1);

namespace Meandros\Core\Directory;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Spelled;
use Meandros\Core\Plan\Step\MenuDialling;
use Meandros\Core\Plan\Step\NameSpelling;

/** Finds people by the keys that callers press, one after the other, until it is clear who is meant. */
final class Directory
{
    /** @var array<string, list<Person>> whom it can still be, by keys so far: the next caller may press the same */
    private array $people = [];
    /** @var array<string, list<Person>> who is meant if no other key follows, by keys */
    private array $meant = [];
    /** @var array<string, list<string>> keys by which people are found, by id */
    private array $spelled = [];

    public function __construct(
        private readonly Plan $plan,
        private readonly NameSpelling $spelling,
        private readonly MenuDialling $dial,
    ) {}

    /**
     * Reads keys until one is left, enough letters leave few enough, nobody is left, or the caller says that it is all.
     *
     * @param string $keys that the caller presses; # ends them
     */
    public function read(string $keys): Search
    {
        $people = [];
        for ($used = 1; $used <= \strlen($keys); ++$used) {
            $isOver = '#' === $keys[$used - 1];
            $typed = substr($keys, 0, $isOver ? $used - 1 : $used);
            if (\strlen($typed) >= Spelled::FEWEST && !$isOver) {
                $people = $this->people[$typed] ??=
                    Spelled::FEWEST === \strlen($typed)
                        ? $this->beginning($typed)
                        : array_values(
                            array_filter($people, fn(Person $person): bool => $this->begins($person, $typed)),
                        );
            }
            $stop = $isOver ? Stop::Hash : $this->stop($typed, $people);
            if (null !== $stop) {
                return new Search($typed, ($this->meant[$typed] ??= $this->meant($typed, $people)), $stop);
            }
        }

        return new Search($keys, ($this->meant[$keys] ??= $this->meant($keys, $people)), Stop::Silence);
    }

    /** @param list<Person> $people whom it can still be */
    private function stop(string $typed, array $people): ?Stop
    {
        return match (true) {
            \strlen($typed) < Spelled::FEWEST => null,
            [] === $people => Stop::Nobody,
            1 === \count($people) => Stop::One,
            \strlen($typed) >= $this->spelling->letters &&
                \count($people) <= $this->spelling->most &&
                !$this->mayBeExtension($typed, $people)
                => Stop::Letters,
            default => null,
        };
    }

    /**
     * Whoever has just that extension is meant, whatever the keys spell.
     *
     * @param list<Person> $people
     *
     * @return list<Person> by name
     */
    private function meant(string $typed, array $people): array
    {
        $byExtension = $this->spelling->extensions
            ? array_values(
                array_filter($people, static fn(Person $person): bool => $person->known->extension === $typed),
            )
            : [];

        $meant = [] === $byExtension ? (\strlen($typed) < Spelled::FEWEST ? [] : $people) : $byExtension;
        usort(
            $meant,
            static fn(Person $one, Person $other): int => [$one->name(), $one->id()] <=> [$other->name(), $other->id()],
        );

        return $meant;
    }

    /** @param list<Person> $people */
    private function mayBeExtension(string $typed, array $people): bool
    {
        foreach ($this->spelling->extensions ? $people : [] as $person) {
            if (
                \strlen($person->known->extension) > \strlen($typed) &&
                str_starts_with($person->known->extension, $typed)
            ) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Person> who may be reached and whose names or extensions begin so */
    private function beginning(string $typed): array
    {
        $people = [];
        foreach ($this->spelling->parts() as $part) {
            foreach ($this->plan->mentioning(Spelled::mention($part, $typed), Kind::Person) as $person) {
                if ($person instanceof Person && $this->dial->mayReach($person)) {
                    $people[$person->id()] = $person;
                }
            }
        }

        return array_values($people);
    }

    private function begins(Person $person, string $typed): bool
    {
        foreach ($this->spelled[$person->id()] ??= $this->spelled($person) as $keys) {
            if (str_starts_with($keys, $typed)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> */
    private function spelled(Person $person): array
    {
        return array_merge(
            ...array_map(static fn(string $part): array => Spelled::keys($person, $part), $this->spelling->parts()),
        );
    }
}
