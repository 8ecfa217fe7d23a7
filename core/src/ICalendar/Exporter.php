<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\CompiledHours;
use Meandros\Core\Time\Holiday\Holiday;
use Meandros\Core\Time\Holiday\NthWeekday;
use Meandros\Core\Time\Holiday\Occasion;
use Meandros\Core\Time\Holiday\Yearly;
use Meandros\Core\Time\TimeOfDay;
use Sabre\VObject\Component\VCalendar;

/**
 * Writes holiday calendars and hours as iCalendar files (RFC 5545) that other calendar programs read.
 *
 * What recurs by a plain rule is one event with an RRULE; everything else is one event a date, which every program
 * reads. X- properties (RFC 5545 3.8.8.2) carry the exact entry, so that the importer can restore it.
 */
final readonly class Exporter
{
    public const HOLIDAY = 'X-MEANDROS-HOLIDAY';
    public const STATE = 'X-MEANDROS-STATE';
    private const PRODUCT = '-//Meandros//Holidays and hours//EN';
    private const FIRST_YEAR = 1990;

    /** @param int $now Unix seconds, for DTSTAMP */
    public function __construct(private int $now) {}

    /**
     * @param int $from  first day in view
     * @param int $until first day beyond
     */
    public function holidays(HolidayCalendar $calendar, int $from, int $until): string
    {
        $file = $this->file($calendar->name());
        $occasions = [];
        // Entries that have nothing in view are written with what they had, so that none is lost.
        foreach ([[$from, $until], [CivilDate::of(self::FIRST_YEAR, 1, 1), $from]] as [$first, $last]) {
            $found = [];
            foreach ($calendar->holidays->between($first, $last) as $occasion) {
                $found[$occasion->holiday->id][] = $occasion;
            }
            $occasions += $found;
        }
        foreach ($calendar->holidays->entries as $holiday) {
            $rule = self::recurrence($holiday);
            foreach ($occasions[$holiday->id] ?? [] as $i => $occasion) {
                if (0 === $i || null === $rule) {
                    $this->holiday($file, $calendar, $occasion, $rule);
                }
            }
        }

        return $file->serialize();
    }

    /** Every stretch in another state than the default, in UTC, which needs no time zone to be explained. */
    public function hours(Hours $hours, CompiledHours $compiled, int $from, int $until): string
    {
        $file = $this->file($hours->name());
        [$starts, $states] = [$compiled->starts(), $compiled->states()];
        foreach ($starts as $i => $start) {
            $end = min($until, $starts[$i + 1] ?? $until);
            $start = max($start, $from);
            $state = $hours->states->find($states[$i]);
            if ($start < $end && null !== $state && $state->key !== $hours->states->default) {
                $file->add('VEVENT', [
                    'UID' => \sprintf('%s-%d@meandros', $hours->id(), $start),
                    'DTSTAMP' => gmdate('Ymd\THis\Z', $this->now),
                    'DTSTART' => gmdate('Ymd\THis\Z', $start),
                    'DTEND' => gmdate('Ymd\THis\Z', $end),
                    'SUMMARY' => $hours->name() . ': ' . $state->name,
                    self::STATE => $state->key,
                ]);
            }
        }

        return $file->serialize();
    }

    /**
     * Who is on: an event for each interval, in UTC.
     *
     * @param list<array{int, int, string}> $intervals first instant, first instant after it, and who
     */
    public function intervals(string $name, string $id, array $intervals): string
    {
        $file = $this->file($name);
        foreach ($intervals as [$since, $until, $who]) {
            $file->add('VEVENT', [
                'UID' => \sprintf('%s-%d@meandros', $id, $since),
                'DTSTAMP' => gmdate('Ymd\THis\Z', $this->now),
                'DTSTART' => gmdate('Ymd\THis\Z', $since),
                'DTEND' => gmdate('Ymd\THis\Z', $until),
                'SUMMARY' => $who,
            ]);
        }

        return $file->serialize();
    }

    private function file(string $name): VCalendar
    {
        $file = new VCalendar([
            'VERSION' => '2.0',
            'PRODID' => self::PRODUCT,
            'CALSCALE' => 'GREGORIAN',
            'METHOD' => 'PUBLISH',
        ]);
        $file->add('X-WR-CALNAME', $name);

        return $file;
    }

    private function holiday(VCalendar $file, HolidayCalendar $calendar, Occasion $occasion, ?string $rule): void
    {
        $holiday = $occasion->holiday;
        $date = gmdate('Ymd', $occasion->day * CivilDate::SECONDS_PER_DAY);
        $event = $file->createComponent(
            'VEVENT',
            [
                'UID' => \sprintf('%s-%s-%s@meandros', $calendar->id(), $holiday->id, $date),
                'DTSTAMP' => gmdate('Ymd\THis\Z', $this->now),
                'SUMMARY' => $occasion->name(),
                'TRANSP' => 'TRANSPARENT',
            ],
            false,
        );
        if ($holiday->part->isWholeDay()) {
            $event->add('DTSTART', $date, ['VALUE' => 'DATE']);
        } else {
            $event->add('DTSTART', $date . 'T' . self::clock($holiday->part->fromSeconds));
            $event->add(
                'DTEND',
                gmdate('Ymd\THis', $occasion->day * CivilDate::SECONDS_PER_DAY + $holiday->part->toSeconds),
            );
        }
        if (null !== $rule) {
            $event->add('RRULE', $rule);
        }
        $event->add(
            self::HOLIDAY,
            json_encode($holiday->toJson(), \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR),
        );
        $file->add($event);
    }

    private static function clock(int $seconds): string
    {
        return gmdate('His', $seconds % TimeOfDay::DAY);
    }

    /** @return string|null the RRULE that says all of the entry */
    private static function recurrence(Holiday $holiday): ?string
    {
        $rule = $holiday->rule;
        if (
            null !== $holiday->substitute ||
            null !== $holiday->years->from ||
            null !== $holiday->years->to ||
            [] !== $holiday->years->except
        ) {
            return null;
        }

        return match (true) {
            $rule instanceof Yearly && !(2 === $rule->date->month && 29 === $rule->date->day) => 'FREQ=YEARLY',
            $rule instanceof NthWeekday => \sprintf(
                'FREQ=YEARLY;BYMONTH=%d;BYDAY=%d%s',
                $rule->month,
                $rule->nth,
                strtoupper($rule->weekday->value),
            ),
            default => null,
        };
    }
}
