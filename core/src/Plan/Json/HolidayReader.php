<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Json;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Reading\PlainLetters;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Holiday\Church;
use Meandros\Core\Time\Holiday\DayPart;
use Meandros\Core\Time\Holiday\FromEaster;
use Meandros\Core\Time\Holiday\Holiday;
use Meandros\Core\Time\Holiday\HolidayRule;
use Meandros\Core\Time\Holiday\Holidays;
use Meandros\Core\Time\Holiday\InSpan;
use Meandros\Core\Time\Holiday\NthWeekday;
use Meandros\Core\Time\Holiday\OnDates;
use Meandros\Core\Time\Holiday\Side;
use Meandros\Core\Time\Holiday\Substitute;
use Meandros\Core\Time\Holiday\SubstituteDay;
use Meandros\Core\Time\Holiday\WeekdayNear;
use Meandros\Core\Time\Holiday\Yearly;
use Meandros\Core\Time\Holiday\Years;
use Meandros\Core\Time\TimeOfDay;
use Meandros\Core\Time\Weekday;
use Meandros\Core\Value\Lists;

/** Reads the entries of a holiday calendar from JSON. */
final class HolidayReader
{
    private const RULES = [
        OnDates::NAME,
        InSpan::NAME,
        Yearly::NAME,
        NthWeekday::NAME,
        WeekdayNear::NAME,
        FromEaster::NAME,
    ];

    public static function holidays(Input $in): Holidays
    {
        $entries = [];
        foreach ($in->items(Limits::HOLIDAYS) as $item) {
            $holiday = self::holiday($item);
            if (isset($entries[$holiday?->id])) {
                $item->field('id')->complain('holiday-id-twice');
            }
            if (null !== $holiday) {
                $entries[$holiday->id] = $holiday;
            }
        }

        return new Holidays(array_values($entries));
    }

    private static function holiday(Input $in): ?Holiday
    {
        $in->onlyFields(['id', 'name', 'rule', 'substitute', 'part', 'years']);
        [$id, $name] = [$in->field('id')->id(), $in->field('name')->text()];
        $rule = self::rule($in->field('rule'));
        $substitute = self::substitute($in->field('substitute'));
        [$from, $to] = self::part($in->field('part'));
        $years = self::years($in->field('years'));
        if (null !== $rule && !$years->allow($rule)) {
            $in->field('years')->complain('rule-never-falls');
        }

        return null === $rule ? null : new Holiday($id, $name, $rule, $substitute, new DayPart($from, $to), $years);
    }

    private static function rule(Input $in): ?HolidayRule
    {
        $name = $in->field('on')->exactText(20);
        if ('' !== $name && !Lists::has(self::RULES, $name)) {
            $in->field('on')->complain('not-a-holiday-rule', ['rule' => Input::quote($name), 'choices' => self::RULES]);
        }

        return match ($name) {
            OnDates::NAME => self::onDates($in),
            InSpan::NAME => self::inSpan($in),
            Yearly::NAME => self::yearly($in),
            NthWeekday::NAME => self::nthWeekday($in),
            WeekdayNear::NAME => self::weekdayNear($in),
            FromEaster::NAME => self::fromEaster($in),
            default => null,
        };
    }

    private static function onDates(Input $in): ?OnDates
    {
        $in->onlyFields(['on', 'dates']);
        $days = [];
        foreach ($in->field('dates')->items(Limits::DATES) as $item) {
            $day = DateReader::date($item);
            if (null !== $day) {
                $days[$day] = $day;
            }
        }
        ksort($days);
        if ([] === $days) {
            $in->field('dates')->complain('holiday-date-missing');

            return null;
        }

        return new OnDates(array_values($days));
    }

    private static function inSpan(Input $in): ?InSpan
    {
        $in->onlyFields(['on', 'from', 'to']);
        $span = DateReader::span($in);

        return null === $span ? null : new InSpan($span);
    }

    private static function yearly(Input $in): ?Yearly
    {
        $in->onlyFields(['on', 'date']);
        $date = DateReader::monthDay($in->field('date'));

        return null === $date ? null : new Yearly($date);
    }

    private static function nthWeekday(Input $in): NthWeekday
    {
        $in->onlyFields(['on', 'nth', 'weekday', 'month']);
        $nth = $in->field('nth')->whole(-5, 5, 'weeks');
        if (0 === $nth) {
            $in->field('nth')->complain('weekday-zero');
        }

        return new NthWeekday(
            $nth,
            self::weekday($in->field('weekday')),
            $in->field('month')->whole(1, 12, 'the month'),
        );
    }

    private static function weekdayNear(Input $in): ?WeekdayNear
    {
        $in->onlyFields(['on', 'weekday', 'side', 'date']);
        $date = DateReader::monthDay($in->field('date'));
        /** @var Side $side */
        $side = $in->field('side')->oneOf(Side::class, Side::OnOrBefore);
        $weekday = self::weekday($in->field('weekday'));

        return null === $date ? null : new WeekdayNear($weekday, $date, $side);
    }

    private static function fromEaster(Input $in): FromEaster
    {
        $in->onlyFields(['on', 'days', 'church']);
        /** @var Church $church */
        $church = $in->field('church')->oneOf(Church::class, Church::Western);

        return new FromEaster($in->field('days')->whole(-100, 250, 'days'), $church);
    }

    private static function weekday(Input $in): Weekday
    {
        if (!$in->isGiven()) {
            $in->complain('missing');

            return Weekday::Monday;
        }
        /** @var Weekday $weekday */
        $weekday = $in->oneOf(Weekday::class, Weekday::Monday);

        return $weekday;
    }

    private static function substitute(Input $in): ?Substitute
    {
        if (!$in->isGiven()) {
            return null;
        }
        $in->onlyFields(['on', 'to', 'keep']);
        $on = BandReader::days($in->field('on'));
        /** @var SubstituteDay $to */
        $to = $in->field('to')->oneOf(SubstituteDay::class, SubstituteDay::NextWorkingDay);
        $keep = $in->field('keep')->flag(true);
        foreach (SubstituteDay::NearestWeekday === $to ? $on : [] as $day) {
            if (!$day->isWeekend()) {
                $in->field('on')->complain('substitute-of-weekday', ['day' => $day->name]);
                break;
            }
        }

        return [] === $on ? null : new Substitute($on, $to, $keep);
    }

    /** @return array{int, int} */
    private static function part(Input $in): array
    {
        if (!$in->isGiven()) {
            return [0, TimeOfDay::DAY];
        }
        $in->onlyFields(['from', 'to']);
        $from = BandReader::time($in->field('from'), TimeOfDay::DAY - 1);
        $to = BandReader::time($in->field('to'), TimeOfDay::DAY);
        if (null === $from || null === $to) {
            return [0, TimeOfDay::DAY];
        }
        if ($from < $to) {
            return [$from, $to];
        }
        $in->field('to')->complain('part-backwards', [
            'to' => TimeOfDay::format($to),
            'from' => TimeOfDay::format($from),
        ]);

        return [0, TimeOfDay::DAY];
    }

    private static function years(Input $in): Years
    {
        if (!$in->isGiven()) {
            return new Years();
        }
        $in->onlyFields(['from', 'to', 'except']);
        $year = static fn(Input $field): int => $field->whole(CivilDate::FIRST_YEAR, CivilDate::LAST_YEAR, 'the year');
        $from = $in->field('from')->isGiven() ? $year($in->field('from')) : null;
        $to = $in->field('to')->isGiven() ? $year($in->field('to')) : null;
        if (null !== $from && null !== $to && $to < $from) {
            $in->field('to')->complain('years-backwards', ['to' => $to, 'from' => $from]);
        }

        return new Years($from, $to, array_map($year, $in->field('except')->items(Limits::YEARS)));
    }

    /** An id for a holiday called so: letters, digits and underscores. */
    public static function idFor(string $name): string
    {
        $id = PlainLetters::joined($name, '_');
        $id = 1 === preg_match('/^[a-z]/', $id) ? $id : 'day_' . $id;

        return substr(\strlen($id) < 2 ? $id . '_day' : $id, 0, 50);
    }
}
