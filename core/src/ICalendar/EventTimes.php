<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

use Meandros\Core\Reading\Input;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Zone;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\DateTimeParser;
use Sabre\VObject\InvalidDataException;
use Sabre\VObject\TimeZoneUtil;

/**
 * When the events of one calendar file happen: DTSTART with RRULE and RDATE, less EXDATE and replaced instances.
 * What is wrong is thrown as \InvalidArgumentException whose message ends a sentence that begins with the event.
 */
final readonly class EventTimes
{
    /** Occurrences of one event beyond this are a mistake, or mischief. */
    private const MOST = 4000;
    private const LONGEST_DAYS = 366;
    /** More than a year in seconds has nine digits. */
    private const FAR_TOO_LONG = '/\d{9}|.{80}/';

    /** What a time costs that is brought from one wall clock to another, as Effort counts. */
    private const COST_OF_A_TIME = 8;

    /** @param int $until local time at which to stop looking */
    public function __construct(
        private VCalendar $calendar,
        private string $zone,
        private int $until,
        private Effort $effort = new Effort(),
    ) {}

    /** @param list<int> $gone local times of instances that other events replace */
    public function event(Entry $entry, array $gone): Event
    {
        $first = $entry->first('DTSTART') ?? throw new \InvalidArgumentException('it has no start');
        $own = $this->zoneOf($first);
        $start = self::local($first->value());
        if (\count($entry->all('RRULE')) > 1 || [] !== $entry->all('EXRULE')) {
            throw new \InvalidArgumentException(
                'it has more than one RRULE, or an EXRULE, which RFC 5545 does not allow',
            );
        }
        $seconds = $this->seconds($entry, $start, $first->isDate(), $own);
        $rule = '' === $entry->text('RRULE') ? null : RecurrenceRule::parse($entry->text('RRULE'));
        $rule = $first->isDate() ? $rule?->ofWholeDays() : $rule;
        [$extra, $except] = [$this->listed($entry, 'RDATE', $own), $this->listed($entry, 'EXDATE', $own)];
        $starts = array_diff(
            array_unique([...null === $rule ? [$start] : $this->recur($rule, $start, $own), ...$extra]),
            $except,
        );
        $times = [];
        $gone = array_flip($gone);
        // Each day that an event takes is looked at by whoever takes it over.
        $this->effort->spend(\count($starts) * (self::COST_OF_A_TIME + intdiv($seconds, CivilDate::SECONDS_PER_DAY)));
        foreach ($starts as $local) {
            $time = $this->time($local, $seconds, $own);
            if ($time['start'] < $this->until && !isset($gone[$time['start']])) {
                $times[] = $time;
            }
        }
        sort($times);
        $endless =
            null !== $rule &&
            null === $rule->end->count &&
            null === $rule->end->until &&
            [] === [...$extra, ...$except, ...$gone];

        return new Event(
            $entry->text('UID'),
            $entry->name(),
            $first->isDate(),
            $times,
            $endless ? $rule : null,
            $entry->extras(),
        );
    }

    /** The local time that a field names, on the wall clock asked for. */
    public function moment(Field $field): int
    {
        return self::between(self::local($field->value()), $this->zoneOf($field), $this->zone);
    }

    /** @return list<int> on the wall clock of the event */
    private function recur(RecurrenceRule $rule, int $start, string $own): array
    {
        $last = null;
        if (null !== $rule->end->until) {
            // UNTIL in UTC is compared on the wall clock of the event; a date allows the whole day.
            $last =
                self::between(
                    self::local($rule->end->until),
                    str_ends_with($rule->end->until, 'Z') ? 'UTC' : '',
                    $own,
                ) + (8 === \strlen($rule->end->until) ? CivilDate::SECONDS_PER_DAY - 1 : 0);
        }
        $found = Recurrence::of($rule, $start, $this->effort)->occurrences($last, $this->until, self::MOST + 1);
        if (\count($found) > self::MOST) {
            throw new \InvalidArgumentException(\sprintf('its RRULE names more than %d times', self::MOST));
        }

        return $found;
    }

    private function seconds(Entry $entry, int $start, bool $allDay, string $own): int
    {
        $seconds = $allDay ? CivilDate::SECONDS_PER_DAY : 0;
        $end = $entry->first('DTEND');
        if (null !== $end) {
            $seconds =
                self::between(self::local($end->value()), $this->zoneOf($end), 'UTC') -
                self::between($start, $own, 'UTC');
        } elseif ('' !== $entry->text('DURATION')) {
            $seconds = self::duration($entry->text('DURATION'));
        }
        if ($seconds <= 0) {
            throw new \InvalidArgumentException('it has no length: it ends when it starts, or before');
        }
        if ($seconds > self::LONGEST_DAYS * CivilDate::SECONDS_PER_DAY) {
            throw new \InvalidArgumentException('it lasts longer than a year');
        }

        return $seconds;
    }

    private static function duration(string $text): int
    {
        if (1 === preg_match(self::FAR_TOO_LONG, $text)) {
            throw new \InvalidArgumentException(\sprintf('its DURATION %s is not understood', Input::quote($text)));
        }
        try {
            $interval = DateTimeParser::parseDuration($text);
        } catch (InvalidDataException) {
            throw new \InvalidArgumentException(\sprintf('its DURATION %s is not understood', $text));
        }

        $seconds =
            $interval instanceof \DateInterval ? (new \DateTimeImmutable('@0'))->add($interval)->getTimestamp() : 0;

        return abs($seconds) > self::LONGEST_DAYS * CivilDate::SECONDS_PER_DAY ? \PHP_INT_MAX : $seconds;
    }

    /** @return list<int> on the wall clock of the event */
    private function listed(Entry $entry, string $name, string $own): array
    {
        $times = [];
        if (
            array_sum(array_map(static fn(Field $field): int => \count($field->values), $entry->all($name))) >
            self::MOST
        ) {
            throw new \InvalidArgumentException(\sprintf('its %s lists more than %d times', $name, self::MOST));
        }
        foreach ($entry->all($name) as $field) {
            $zone = $this->zoneOf($field);
            foreach ($field->values as $text) {
                $times[] = self::between(self::local($text), $zone, $own);
            }
        }

        return $times;
    }

    /** @return array{start: int, end: int} on the wall clock asked for: clocks that change on the way make it longer or shorter there */
    private function time(int $local, int $seconds, string $own): array
    {
        if ('' === $own) {
            return ['start' => $local, 'end' => $local + $seconds];
        }
        $instant = Zone::around($own, $local)->instantOf($local);
        $zone = Zone::over($this->zone, $instant, $instant + $seconds);

        return ['start' => $zone->localOf($instant), 'end' => $zone->localOf($instant + $seconds)];
    }

    /** Dates and floating times are the same on every wall clock (RFC 5545 3.3.5, form 1); they have no zone. */
    private static function between(int $local, string $from, string $to): int
    {
        if ($from === $to || '' === $from || '' === $to) {
            return $local;
        }
        $instant = Zone::around($from, $local)->instantOf($local);

        return Zone::around($to, $instant)->localOf($instant);
    }

    /** @return string an IANA zone; empty for dates and floating times */
    private function zoneOf(Field $field): string
    {
        if ('' === $field->zone || Zone::exists($field->zone)) {
            return $field->zone;
        }
        try {
            return TimeZoneUtil::getTimeZone($field->zone, $this->calendar, true)->getName();
        } catch (\InvalidArgumentException) {
            throw new \InvalidArgumentException(
                \sprintf(
                    'its time zone (TZID) “%s” is not known; the closest that is known is %s',
                    Input::quote($field->zone),
                    Zone::closestTo($field->zone),
                ),
            );
        }
    }

    private static function local(string $text): int
    {
        $known =
            1 === preg_match('/^(\d{4})(\d{2})(\d{2})(?:T([01]\d|2[0-3])([0-5]\d)([0-5]\d|60)Z?)?$/D', $text, $part);
        $day = $known ? CivilDate::parse(\sprintf('%s-%s-%s', $part[1], $part[2], $part[3])) : null;
        if (null === $day || (int) $part[1] < 1900 || (int) $part[1] > 2400) {
            throw new \InvalidArgumentException(
                \sprintf(
                    '“%s” is not a date or time that exists, or that lies between 1900 and 2400',
                    Input::quote($text),
                ),
            );
        }

        return $day * CivilDate::SECONDS_PER_DAY +
            (int) ($part[4] ?? 0) * 3600 +
            (int) ($part[5] ?? 0) * 60 +
            min(59, (int) ($part[6] ?? 0));
    }
}
