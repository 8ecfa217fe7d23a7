<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Value\Lists;

/** Which days an RRULE allows, period by period; what the rule leaves open is taken from the day the event starts on. */
final readonly class DayFilter
{
    /** @var list<int> */
    private array $months;
    /** @var list<int> */
    private array $monthDays;
    /** @var list<array{nth: int, weekday: int}> */
    private array $weekdays;
    /** Of looking at one day, as Effort counts. */
    public int $cost;

    public function __construct(private RecurrenceRule $rule, private int $start)
    {
        $open =
            !$rule->has('BYWEEKNO') && !$rule->has('BYYEARDAY') && !$rule->has('BYMONTHDAY') && !$rule->has('BYDAY');
        [$month, $monthDay] = [intdiv(CivilDate::monthDay($start), 100), CivilDate::monthDay($start) % 100];
        $yearly = Frequency::Yearly === $rule->frequency;
        $this->months = $open && $yearly && !$rule->has('BYMONTH') ? [$month] : $rule->by['BYMONTH'];
        $this->monthDays =
            $open && ($yearly || Frequency::Monthly === $rule->frequency) ? [$monthDay] : $rule->by['BYMONTHDAY'];
        $this->cost = $rule->has('BYWEEKNO') ? 5 : 1;
        $byWeek =
            ($open && Frequency::Weekly === $rule->frequency) ||
            ($yearly &&
                $rule->has('BYWEEKNO') &&
                !$rule->has('BYDAY') &&
                !$rule->has('BYMONTHDAY') &&
                !$rule->has('BYYEARDAY'));
        $this->weekdays = $byWeek ? [['nth' => 0, 'weekday' => CivilDate::weekday($start)]] : $rule->byDay;
    }

    /** @return array{int, int} first and last day of the period that lies so many years, months, weeks or days after the start's */
    public function period(int $ahead): array
    {
        [$year, $month] = [CivilDate::year($this->start), intdiv(CivilDate::monthDay($this->start), 100)];
        if (Frequency::Yearly === $this->rule->frequency) {
            return [CivilDate::of($year + $ahead, 1, 1), CivilDate::of($year + $ahead, 12, 31)];
        }
        if (Frequency::Monthly === $this->rule->frequency) {
            return [CivilDate::of($year, $month + $ahead, 1), CivilDate::of($year, $month + $ahead + 1, 1) - 1];
        }
        if (Frequency::Weekly === $this->rule->frequency) {
            $first = $this->start - ((CivilDate::weekday($this->start) - $this->rule->weekStart + 7) % 7) + 7 * $ahead;

            return [$first, $first + 6];
        }

        return [$this->start + $ahead, $this->start + $ahead];
    }

    /** @return iterable<array{int, int}> the parts of a period in which there are days to look at: its months, where only some count */
    public function stretches(int $first, int $last): iterable
    {
        if ([] === $this->months || Frequency::Yearly !== $this->rule->frequency) {
            yield [$first, $last];

            return;
        }
        for ($year = CivilDate::year($first), $month = 1; $month <= 12; ++$month) {
            if (Lists::has($this->months, $month)) {
                yield [CivilDate::of($year, $month, 1), CivilDate::of($year, $month + 1, 1) - 1];
            }
        }
    }

    public function allows(int $day): bool
    {
        $monthDay = CivilDate::monthDay($day);
        [$year, $month, $date] = [CivilDate::year($day), intdiv($monthDay, 100), $monthDay % 100];

        return ([] === $this->months || Lists::has($this->months, $month)) &&
            ([] === $this->monthDays ||
                self::counted(
                    $this->monthDays,
                    $date,
                    CivilDate::of($year, $month + 1, 1) - CivilDate::of($year, $month, 1),
                )) &&
            ([] === $this->rule->by['BYYEARDAY'] ||
                self::counted(
                    $this->rule->by['BYYEARDAY'],
                    $day - CivilDate::of($year, 1, 1) + 1,
                    CivilDate::of($year + 1, 1, 1) - CivilDate::of($year, 1, 1),
                )) &&
            ([] === $this->rule->by['BYWEEKNO'] || $this->inWeek($day, $year)) &&
            ([] === $this->weekdays || $this->onWeekday($day, $year, $month));
    }

    /** @param list<int> $wanted counted from the start, or from the end when negative */
    private static function counted(array $wanted, int $position, int $length): bool
    {
        return Lists::has($wanted, $position) || Lists::has($wanted, $position - $length - 1);
    }

    private function onWeekday(int $day, int $year, int $month): bool
    {
        $weekday = CivilDate::weekday($day);
        $inMonth = Frequency::Monthly === $this->rule->frequency || [] !== $this->months;
        [$first, $next] = $inMonth
            ? [CivilDate::of($year, $month, 1), CivilDate::of($year, $month + 1, 1)]
            : [CivilDate::of($year, 1, 1), CivilDate::of($year + 1, 1, 1)];
        foreach ($this->weekdays as ['nth' => $nth, 'weekday' => $wanted]) {
            $fits = 0 === $nth || $nth === intdiv($day - $first, 7) + 1 || $nth === -intdiv($next - 1 - $day, 7) - 1;
            if ($weekday === $wanted && $fits) {
                return true;
            }
        }

        return false;
    }

    /** Week 1 is the first with at least four days in the year (RFC 5545 3.3.10). */
    private function inWeek(int $day, int $year): bool
    {
        foreach ([$year - 1, $year, $year + 1] as $weekYear) {
            [$first, $next] = [$this->firstWeek($weekYear), $this->firstWeek($weekYear + 1)];
            if ($day >= $first && $day < $next) {
                return self::counted(
                    $this->rule->by['BYWEEKNO'],
                    intdiv($day - $first, 7) + 1,
                    intdiv($next - $first, 7),
                );
            }
        }

        return false;
    }

    private function firstWeek(int $year): int
    {
        $fourth = CivilDate::of($year, 1, 4);

        return $fourth - ((CivilDate::weekday($fourth) - $this->rule->weekStart + 7) % 7);
    }
}
