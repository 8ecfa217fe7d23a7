<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Directory\Directory;
use Meandros\Core\Directory\Search;
use Meandros\Core\Directory\Stop;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Spelled;
use Meandros\Core\Plan\Step\DirectoryStep;

/** Everything that may be spelled at a directory: for each whom it stands for, the keys that take the fewest seconds, and the most. */
final readonly class SpelledNames
{
    /** Keys that can be stated at once leave room for two more. */
    private const LONGEST = 22;

    /** @var list<array{list<string>, string, int, string, int}> whom it stands for, by id; keys that take the fewest seconds, and how many; and the most */
    public array $all;
    /** Whether everybody is among them who can be asked for. */
    public bool $isEverybody;

    public function __construct(Plan $plan, private DirectoryStep $step, Reachable $reachable)
    {
        $directory = new Directory($plan, $step->spelling, $step->dial);
        $found = [];
        foreach (self::searches($directory, $reachable->people($step->dial), $step) as $keys => $search) {
            $keys = (string) $keys;
            $seconds = $search->seconds($step->dial->digitSeconds);
            $people = array_map(static fn(Person $person): string => $person->id(), $search->people);
            [, $soon, $least, $late, $most] = $found[implode(' ', $people)] ?? [[], '', \PHP_INT_MAX, '', -1];
            $found[implode(' ', $people)] = [
                $people,
                $seconds < $least ? $keys : $soon,
                min($seconds, $least),
                $seconds > $most ? $keys : $late,
                max($seconds, $most),
            ];
        }
        $this->all = array_values($found);
        $this->isEverybody = $reachable->areAll($step->dial);
    }

    /**
     * Whether exactly these can be spelled in so many seconds.
     *
     * @param list<string> $whom by id; none for nobody
     */
    public function isSpelledIn(int $seconds, array $whom): bool
    {
        foreach ($this->all as [$people, , $least]) {
            if ($whom === $people) {
                return $least <= $seconds;
            }
        }

        return false;
    }

    /**
     * Whether several are spelled as soon as can be so that something is sooner by it: to be asked for, of those read out; to be through with
     * the try; or to have chosen nobody at the last one.
     *
     * @param list<string> $people  by id
     * @param int          $seconds in which they are spelled
     */
    public function isSoonestRead(array $people, int $seconds, bool $isFirst, bool $isLast): bool
    {
        if (!$this->isSpelledIn($seconds, []) || ($isLast && $this->areSoonestRead($people))) {
            return true;
        }
        foreach ($isFirst ? $this->read($people) : [] as $person) {
            if (!$this->isSpelledIn($seconds, [$person])) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether no others of whom several are read out are spelled sooner: choosing nobody is soonest among these.
     *
     * @param list<string> $people by id
     */
    public function areSoonestRead(array $people): bool
    {
        $soonest = [];
        $fewest = \PHP_INT_MAX;
        foreach ($this->all as [$some, , $least]) {
            if (\count($some) > 1 && $least < $fewest) {
                [$fewest, $soonest] = [$least, $some];
            }
        }

        return $this->read($soonest) === $this->read($people);
    }

    /**
     * @param list<string> $people by id
     *
     * @return list<string> those who are read out
     */
    private function read(array $people): array
    {
        return \array_slice($people, 0, $this->step->spelling->most);
    }

    /** Whether somebody is asked for later than in so many seconds where several are spelled, and one of those read out is chosen. */
    public function isChosenLater(int $seconds, string $person): bool
    {
        foreach ($this->all as [$people, , , , $most]) {
            $isRead = \count($people) > 1 && \in_array($person, $this->read($people), true);
            if ($isRead && $most + $this->step->asks->waitSeconds > $seconds) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<Person> $people
     *
     * @return array<string, Search> by every beginning of what spells somebody, as long as more keys are read: as it is, and with each key
     *                               more; with # and without
     */
    private static function searches(Directory $directory, array $people, DirectoryStep $step): array
    {
        $searches = [];
        foreach (['1', '2', ...self::spelled($people, $step)] as $keys) {
            $isRead = !str_starts_with($keys, DirectoryStep::HELP);
            for ($length = 1; $isRead && $length <= min(\strlen($keys), self::LONGEST); ++$length) {
                $begun = substr($keys, 0, $length);
                $search = $searches[$begun] ??= $directory->read($begun);
                $isRead = Stop::Silence === $search->stop;
                foreach ($isRead ? [$begun . '#', $begun . '1', $begun . '9'] : [] as $more) {
                    $searches[$more] ??= $directory->read($more);
                }
            }
        }

        return $searches;
    }

    /**
     * @param list<Person> $people
     *
     * @return list<string> keys
     */
    private static function spelled(array $people, DirectoryStep $step): array
    {
        $spelled = [];
        foreach ($people as $person) {
            foreach ($step->spelling->parts() as $part) {
                array_push($spelled, ...Spelled::keys($person, $part));
            }
        }

        return $spelled;
    }
}
