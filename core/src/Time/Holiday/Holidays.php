<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

use Meandros\Core\Time\CivilDate;

/** The entries of a holiday calendar, in order: where two fall on one day, the earlier entry is the stronger. */
final class Holidays
{
    /** @var array<int, list<Occasion>> by the year whose holidays they are; a substitute may lie in the year beside it */
    private array $years = [];

    /** @param list<Holiday> $entries */
    public function __construct(public readonly array $entries) {}

    /** @return list<Occasion> in order of day, then of entry */
    public function between(int $from, int $until): array
    {
        $found = [];
        for ($year = CivilDate::year($from) - 1; $year <= CivilDate::year($until) + 1; ++$year) {
            foreach ($this->ofYear($year) as $occasion) {
                if ($occasion->day >= $from && $occasion->day < $until) {
                    $found[] = $occasion;
                }
            }
        }
        $order = [];
        foreach ($this->entries as $i => $entry) {
            $order[$entry->id] = $i;
        }
        usort(
            $found,
            static fn(Occasion $a, Occasion $b): int => [$a->day, $order[$a->holiday->id]] <=> [
                $b->day,
                $order[$b->holiday->id],
            ],
        );

        return $found;
    }

    /** @return list<Occasion> */
    private function ofYear(int $year): array
    {
        return $this->years[$year] ??= $this->substituted(
            [...$this->named($year)],
            $this->taken($year) + $this->substitutesBefore($year),
        );
    }

    /**
     * Substitute days are given out in the order of their holidays, so that 31 December comes before 1 January. A year
     * is looked at after the one before it; that one, only after itself: no chain of full days is longer than a year.
     *
     * @return array<int, true> days that substitutes of the year before have taken
     */
    private function substitutesBefore(int $year): array
    {
        $taken = [];
        foreach ($this->substituted([...$this->named($year - 1)], $this->taken($year - 1)) as $occasion) {
            if (null !== $occasion->insteadOf) {
                $taken[$occasion->day] = true;
            }
        }

        return $taken;
    }

    /** @return iterable<int, Occasion> as the rules name them */
    private function named(int $year): iterable
    {
        foreach ($this->entries as $holiday) {
            foreach ($holiday->years->contain($year) ? $holiday->rule->daysIn($year) : [] as $day) {
                yield new Occasion($day, $holiday);
            }
        }
    }

    /** @return array<int, true> days that are holidays before any substitute, also just beyond the year's ends */
    private function taken(int $year): array
    {
        $taken = [];
        foreach ([$year - 1, $year, $year + 1] as $near) {
            foreach ($this->named($near) as $occasion) {
                $taken[$occasion->day] = true;
            }
        }

        return $taken;
    }

    /**
     * @param list<Occasion>   $named
     * @param array<int, true> $taken
     *
     * @return list<Occasion>
     */
    private function substituted(array $named, array $taken): array
    {
        usort($named, static fn(Occasion $a, Occasion $b): int => $a->day <=> $b->day);
        $all = [];
        foreach ($named as $occasion) {
            $substitute = $occasion->holiday->substitute;
            if (null === $substitute || !$substitute->concerns($occasion->day)) {
                $all[] = $occasion;
                continue;
            }
            if ($substitute->keep) {
                $all[] = $occasion;
            }
            $day = $substitute->of($occasion->day, $taken);
            $taken[$day] = true;
            $all[] = new Occasion($day, $occasion->holiday, $occasion->day);
        }

        return $all;
    }
}
