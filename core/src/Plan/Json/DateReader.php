<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Json;

use Meandros\Core\Reading\Input;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\DateSpan;
use Meandros\Core\Time\MonthDay;

/** Reads dates and stretches of dates: those that do not exist or stand inside out are refused. */
final class DateReader
{
    /** A dated stretch longer than this is a mistake. */
    private const LONGEST_DAYS = 3660;

    /** @return int|null days since 1970-01-01 */
    public static function date(Input $in): ?int
    {
        $text = $in->exactText(10);
        $day = CivilDate::parse($text);
        if ('' !== $text && null === $day) {
            $in->complain('no-such-date', [
                'date' => $text,
                'first' => CivilDate::FIRST_YEAR,
                'last' => CivilDate::LAST_YEAR,
            ]);
        }

        return $day;
    }

    public static function monthDay(Input $in): ?MonthDay
    {
        $text = $in->exactText(10);
        $date = MonthDay::parse($text);
        if ('' !== $text && null === $date) {
            $last = MonthDay::lastOfMonth($text);
            $in->complain(
                null === $last ? 'no-such-day' : 'no-such-day-of-month',
                ['date' => $text] + (null === $last ? [] : ['last' => (string) $last]),
            );
        }

        return $date;
    }

    /** From and to as fields of an object: both YYYY-MM-DD, or both MM-DD for every year. */
    public static function span(Input $in): ?DateSpan
    {
        [$from, $to] = [$in->field('from'), $in->field('to')];
        [$yearlyFrom, $yearlyTo] = [5 === $from->length(), 5 === $to->length()];
        if ($yearlyFrom && $yearlyTo) {
            [$first, $last] = [self::monthDay($from), self::monthDay($to)];

            return null === $first || null === $last ? null : DateSpan::yearly($first, $last);
        }
        if ($yearlyFrom !== $yearlyTo) {
            $to->complain('one-date-without-year');

            return null;
        }
        [$first, $last] = [self::date($from), self::date($to)];
        if (null === $first || null === $last) {
            return null;
        }
        if ($last < $first || $last - $first > self::LONGEST_DAYS) {
            $to->complain($last < $first ? 'span-backwards' : 'span-too-long', [
                'to' => CivilDate::format($last),
                'from' => CivilDate::format($first),
            ]);

            return null;
        }

        return DateSpan::dated($first, $last);
    }
}
