<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** A date of every year, written MM-DD. 29 February exists in leap years only. */
final readonly class MonthDay
{
    private const LONGEST = [1 => 31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

    private function __construct(public int $month, public int $day) {}

    /** @return self|null null when no year has the date */
    public static function parse(string $text): ?self
    {
        if (1 !== preg_match('/^(\d{2})-(\d{2})$/D', $text, $part)) {
            return null;
        }
        [$month, $day] = [(int) $part[1], (int) $part[2]];

        return $day >= 1 && $day <= (self::LONGEST[$month] ?? 0) ? new self($month, $day) : null;
    }

    /** @return int|null days since 1970-01-01; null for 29 February of a common year */
    public function in(int $year): ?int
    {
        return checkdate($this->month, $this->day, $year) ? CivilDate::of($year, $this->month, $this->day) : null;
    }

    /** @return int 101 for 1 January … 1231 for 31 December, as CivilDate::monthDay() gives it */
    public function order(): int
    {
        return $this->month * 100 + $this->day;
    }

    public function format(): string
    {
        return \sprintf('%02d-%02d', $this->month, $this->day);
    }

    /** The last date of a month that a text names, for an error message: "02-29" for "02-30". */
    public static function lastOfMonth(string $text): ?string
    {
        $month = (int) substr($text, -5, 2);

        return isset(self::LONGEST[$month]) ? \sprintf('%02d-%02d', $month, self::LONGEST[$month]) : null;
    }
}
