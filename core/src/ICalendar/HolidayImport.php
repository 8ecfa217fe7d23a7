<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Plan\Json\HolidayReader;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\DateSpan;
use Meandros\Core\Time\Holiday\DayPart;
use Meandros\Core\Time\Holiday\Holiday;
use Meandros\Core\Time\Holiday\HolidayRule;
use Meandros\Core\Time\Holiday\Holidays;
use Meandros\Core\Time\Holiday\InSpan;
use Meandros\Core\Time\Holiday\NthWeekday;
use Meandros\Core\Time\Holiday\OnDates;
use Meandros\Core\Time\Holiday\Yearly;
use Meandros\Core\Time\MonthDay;
use Meandros\Core\Time\Weekday;
use Meandros\Core\Wording\HolidayWords;

/**
 * Takes the events of a calendar file over as entries of a holiday calendar. Events of one name and one time of day
 * become one entry; a plain yearly rule stays a rule, anything else becomes its dates. Nothing is removed.
 */
final readonly class HolidayImport
{
    private const SPAN_DAYS = 3;

    public static function preview(HolidayCalendar $calendar, CalendarFile $file): Preview
    {
        $leftOut = $file->leftOut;
        $restored = self::restored($file, $leftOut);
        $grouped = self::grouped(
            array_filter($file->events, static fn(Event $event): bool => !isset($event->extras[Exporter::HOLIDAY])),
        );
        $entries = [];
        foreach ($calendar->holidays->entries as $entry) {
            $entries[$entry->id] = $entry;
        }
        $added = $changed = $unchanged = [];
        foreach ([...$restored, ...$grouped] as $i => $holiday) {
            $old = $i < \count($restored) ? $entries[$holiday->id] ?? null : self::namesake($entries, $holiday);
            $holiday = new Holiday(
                $old->id ?? self::freeId($entries, $holiday->id),
                $holiday->name,
                $holiday->rule,
                $holiday->substitute,
                $holiday->part,
                $holiday->years,
            );
            if (null === $old) {
                $added[] = self::words($holiday);
            } elseif ($old->toJson() === $holiday->toJson()) {
                $unchanged[] = self::words($holiday);
            } else {
                $changed[] = \sprintf('%s; it was %s', self::words($holiday), self::words($old));
            }
            $entries[$holiday->id] = $holiday;
        }

        return new Preview(
            new HolidayCalendar($calendar->about(), new Holidays(array_values($entries))),
            $added,
            $changed,
            $unchanged,
            $leftOut,
        );
    }

    /**
     * Entries that an export of ours carries with it, where the dates are still those that they name.
     *
     * @param list<LeftOut> $leftOut
     *
     * @return list<Holiday>
     */
    private static function restored(CalendarFile $file, array &$leftOut): array
    {
        $days = $events = $texts = [];
        foreach ($file->events as $event) {
            $text = $event->extras[Exporter::HOLIDAY] ?? null;
            if (null !== $text) {
                $texts[$text] = $text;
                $events[$text][] = $event;
                foreach ($event->parts() as $part) {
                    $days[$text][$part['day']] = true;
                }
            }
        }
        $entries = [];
        foreach ($texts as $text) {
            try {
                $entries[$text] =
                    Input::read(
                        ['h' => [json_decode($text, true, 16)]],
                        static fn(Input $in): Holidays => HolidayReader::holidays($in->field('h')),
                    )->entries[0] ?? null;
            } catch (InvalidData) {
                $entries[$text] = null;
            }
        }
        $all = new Holidays(array_values(array_filter($entries)));
        $restored = [];
        foreach ($entries as $text => $entry) {
            if (null !== $entry && self::namesJust($all, $entry, array_keys($days[$text]))) {
                $restored[] = $entry;
                continue;
            }
            foreach (self::grouped($events[$text]) as $holiday) {
                $restored[] =
                    null === $entry
                        ? $holiday
                        : new Holiday($entry->id, $holiday->name, $holiday->rule, null, $holiday->part);
            }
            $leftOut[] = new LeftOut(
                \sprintf('The rule of %s', $entry->name ?? $events[$text][0]->name),
                'its dates were changed in the file, so the dates count',
            );
        }

        return $restored;
    }

    /** @param list<int> $days */
    private static function namesJust(Holidays $all, Holiday $entry, array $days): bool
    {
        $named = [];
        foreach ([] === $days ? [] : $all->between(min($days), max($days) + 1) as $occasion) {
            if ($occasion->holiday->id === $entry->id) {
                $named[] = $occasion->day;
            }
        }
        sort($days);

        return $days === array_values(array_unique($named));
    }

    /**
     * @param array<Event> $events
     *
     * @return list<Holiday>
     */
    private static function grouped(array $events): array
    {
        $groups = [];
        foreach ($events as $event) {
            foreach ($event->parts() as $part) {
                $key = \sprintf('%s %d %d', $event->name, $part['from'], $part['to']);
                $groups[$key]['event'] ??= $event;
                $groups[$key]['part'] ??= $part;
                $groups[$key]['days'][$part['day']] = $part['day'];
                $groups[$key]['rule'] =
                    1 === \count($groups[$key]['days']) || $groups[$key]['event'] === $event ? $event->endless : null;
            }
        }
        $holidays = [];
        foreach ($groups as $group) {
            $days = array_values($group['days']);
            sort($days);
            $rule = self::rule($group['rule'], $group['event'], $days[0]) ?? self::dated($days);
            $name = $group['event']->name;
            $holidays[] = new Holiday(
                HolidayReader::idFor($name),
                $name,
                $rule,
                null,
                new DayPart($group['part']['from'], $group['part']['to']),
            );
        }

        return $holidays;
    }

    /** A rule of ours that names the same days for ever, if there is one. */
    private static function rule(?RecurrenceRule $rule, Event $event, int $first): ?HolidayRule
    {
        if (
            null === $rule ||
            1 !== $rule->interval ||
            Frequency::Yearly !== $rule->frequency ||
            \count($event->parts()) > \count($event->times)
        ) {
            return null;
        }
        $monthDay = CivilDate::monthDay($first);
        [$month, $day] = [intdiv($monthDay, 100), $monthDay % 100];
        $given = array_keys(array_filter($rule->by));
        $onlyMonth = [] === $given || (['BYMONTH'] === $given && [$month] === $rule->by['BYMONTH']);
        $date = MonthDay::parse(\sprintf('%02d-%02d', $month, $day));
        if (
            [] === $rule->byDay &&
            null !== $date &&
            ($onlyMonth ||
                (['BYMONTHDAY', 'BYMONTH'] === $given &&
                    [$month] === $rule->by['BYMONTH'] &&
                    [$day] === $rule->by['BYMONTHDAY']))
        ) {
            return new Yearly($date);
        }
        $nth = $rule->byDay[0]['nth'] ?? 0;

        return ['BYMONTH'] === $given &&
            [$month] === $rule->by['BYMONTH'] &&
            1 === \count($rule->byDay) &&
            0 !== $nth &&
            abs($nth) <= 5
            ? new NthWeekday($nth, Weekday::cases()[$rule->byDay[0]['weekday']], $month)
            : null;
    }

    /** @param non-empty-list<int> $days in order */
    private static function dated(array $days): HolidayRule
    {
        $last = $days[\count($days) - 1];

        return \count($days) >= self::SPAN_DAYS && $last - $days[0] === \count($days) - 1
            ? new InSpan(DateSpan::dated($days[0], $last))
            : new OnDates($days);
    }

    /** @param array<string, Holiday> $entries */
    private static function namesake(array $entries, Holiday $holiday): ?Holiday
    {
        foreach ($entries as $entry) {
            if (
                $entry->name === $holiday->name &&
                [$entry->part->fromSeconds, $entry->part->toSeconds] === [
                    $holiday->part->fromSeconds,
                    $holiday->part->toSeconds,
                ]
            ) {
                return $entry;
            }
        }

        return null;
    }

    /** @param array<string, Holiday> $entries */
    private static function freeId(array $entries, string $id): string
    {
        for ($n = 2, $free = $id; isset($entries[$free]); ++$n) {
            $free = $id . '_' . $n;
        }

        return $free;
    }

    private static function words(Holiday $holiday): string
    {
        return $holiday->name . ' (' . HolidayWords::rule($holiday) . ')';
    }
}
