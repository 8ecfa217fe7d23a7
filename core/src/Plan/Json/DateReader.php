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
            $in->complain(
                \sprintf('The date "%s" does not exist.', $text),
                \sprintf(
                    'Write an existing date of the years %d to %d as YYYY-MM-DD.',
                    CivilDate::FIRST_YEAR,
                    CivilDate::LAST_YEAR,
                ),
            );
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
                \sprintf('The date "%s" does not exist in any year.', $text),
                null === $last
                    ? 'Write month and day as MM-DD, such as 11-01.'
                    : \sprintf('Write month and day as MM-DD; the last of that month is %s.', $last),
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
            $to->complain(
                'One of the two dates has a year and the other has none.',
                'Give both with a year, or both without to have them every year.',
            );

            return null;
        }
        [$first, $last] = [self::date($from), self::date($to)];
        if (null === $first || null === $last) {
            return null;
        }
        if ($last < $first || $last - $first > self::LONGEST_DAYS) {
            $to->complain(
                $last < $first
                    ? \sprintf(
                        'It ends on %s, before it starts on %s.',
                        CivilDate::format($last),
                        CivilDate::format($first),
                    )
                    : 'This is longer than ten years.',
                'Change one of the two dates.',
            );

            return null;
        }

        return DateSpan::dated($first, $last);
    }
}
