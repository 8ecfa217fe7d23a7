<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Holiday\Church;
use Meandros\Core\Time\Holiday\FromEaster;
use Meandros\Core\Time\Holiday\Holiday;
use Meandros\Core\Time\Holiday\InSpan;
use Meandros\Core\Time\Holiday\NthWeekday;
use Meandros\Core\Time\Holiday\OnDates;
use Meandros\Core\Time\Holiday\WeekdayNear;
use Meandros\Core\Time\Holiday\Yearly;
use Meandros\Core\Time\MonthDay;
use Meandros\Core\Time\TimeOfDay;

/** When a holiday is, in words. */
final class HolidayWords
{
    private const MOST_DATES = 3;
    private const ORDER = [1 => 'first', 2 => 'second', 3 => 'third', 4 => 'fourth', 5 => 'fifth'];

    public static function rule(Holiday $holiday): string
    {
        $rule = $holiday->rule;
        $words = match (true) {
            $rule instanceof Yearly => 'every ' . self::monthDay($rule->date),
            $rule instanceof NthWeekday => \sprintf(
                '%s %s of %s',
                self::order($rule->nth),
                $rule->weekday->name,
                gmdate('F', (int) gmmktime(0, 0, 0, $rule->month, 1, 2024)),
            ),
            $rule instanceof WeekdayNear => \sprintf(
                'the %s %s %s',
                $rule->weekday->name,
                $rule->side->value,
                self::monthDay($rule->date),
            ),
            $rule instanceof FromEaster => self::easter($rule),
            $rule instanceof InSpan => self::span($rule),
            $rule instanceof OnDates => self::dates($rule),
        };

        return $holiday->part->isWholeDay()
            ? $words
            : \sprintf(
                '%s, %s–%s',
                $words,
                TimeOfDay::format($holiday->part->fromSeconds),
                TimeOfDay::format($holiday->part->toSeconds),
            );
    }

    private static function order(int $nth): string
    {
        return -1 === $nth ? 'last' : (self::ORDER[abs($nth)] ?? '') . ($nth < 0 ? ' to last' : '');
    }

    private static function easter(FromEaster $rule): string
    {
        $easter = Church::Western === $rule->church ? 'Easter' : 'Orthodox Easter';

        return 0 === $rule->days
            ? $easter . ' Sunday'
            : \sprintf(
                '%s %s %s',
                1 === abs($rule->days) ? 'the day' : abs($rule->days) . ' days',
                $rule->days > 0 ? 'after' : 'before',
                $easter,
            );
    }

    private static function span(InSpan $rule): string
    {
        $json = $rule->span->toJson();
        $words = static fn(string $date): string => null === ($monthDay = MonthDay::parse($date))
            ? When::date((int) CivilDate::parse($date))
            : self::monthDay($monthDay);

        return \sprintf(
            $rule->span->recurs() ? 'every %s to %s' : '%s to %s',
            $words($json['from']),
            $words($json['to']),
        );
    }

    private static function dates(OnDates $rule): string
    {
        $more = \count($rule->days) - self::MOST_DATES;

        return implode(', ', array_map(When::date(...), \array_slice($rule->days, 0, self::MOST_DATES))) .
            ($more > 0 ? \sprintf(' and %d more', $more) : '');
    }

    private static function monthDay(MonthDay $date): string
    {
        return gmdate('j F', (int) $date->in(2024) * CivilDate::SECONDS_PER_DAY);
    }
}
