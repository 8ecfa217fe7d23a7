<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\CivilDate;
use Sabre\VObject\Component;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\ParseException;
use Sabre\VObject\Reader;

/**
 * Reads calendar files (RFC 5545) with sabre/vobject: which events there are, and when each happens within a window.
 * Nothing is taken from a file that holds anything it cannot make sense of.
 */
final readonly class FileReader
{
    public const MOST_BYTES = 1_000_000;
    private const MOST_EVENTS = 5000;
    private const DEEPEST = 3;

    /**
     * @param string $zone  IANA zone on whose wall clock times are given
     * @param int    $until first day that is not looked at: series that go on are cut there
     */
    public function __construct(private string $zone, private int $until) {}

    /** @throws InvalidData at "/ics", naming the event and its line */
    public function read(string $text): CalendarFile
    {
        $calendar = self::parse($text);
        $times = new EventTimes($calendar, $this->zone, $this->until * CivilDate::SECONDS_PER_DAY);
        $lines = self::lines($text);
        $entries = self::entries($calendar, 'VEVENT');
        if (\count($entries) > self::MOST_EVENTS) {
            throw self::refused('too-many-events', ['events' => \count($entries), 'most' => self::MOST_EVENTS]);
        }
        $events = $leftOut = $replaced = [];
        foreach ($entries as $i => $entry) {
            $this->reading($entry, $i, $lines, static function () use ($entry, $times, &$replaced): void {
                $instance = $entry->first('RECURRENCE-ID');
                if (null !== $instance) {
                    $replaced[$entry->text('UID')][] = $times->moment($instance);
                }
            });
        }
        foreach ($entries as $i => $entry) {
            $gone = null === $entry->first('RECURRENCE-ID') ? $replaced[$entry->text('UID')] ?? [] : [];
            $this->reading($entry, $i, $lines, function () use ($entry, $times, $gone, &$events, &$leftOut): void {
                $event = $times->event($entry, $gone);
                $why = $this->passedOver($entry, $event);
                if (null === $why) {
                    $events[] = $event;
                } else {
                    $leftOut[] = new LeftOut($event->name, $why);
                }
            });
        }
        foreach (['VTODO' => 'a task', 'VJOURNAL' => 'a note'] as $kind => $word) {
            foreach (self::entries($calendar, $kind) as $entry) {
                $leftOut[] = new LeftOut($entry->name(), \sprintf('it is %s, not an event', $word));
            }
        }

        return new CalendarFile(Entry::of($calendar)->text('X-WR-CALNAME'), $events, $leftOut);
    }

    private static function parse(string $text): VCalendar
    {
        if (\strlen($text) > self::MOST_BYTES) {
            throw self::refused('calendar-too-large', ['most' => self::MOST_BYTES / 1000]);
        }
        if (!mb_check_encoding($text, 'UTF-8')) {
            throw self::refused('calendar-not-utf-8');
        }
        if (1 !== preg_match('/^\x{FEFF}?\s*BEGIN:VCALENDAR/iu', $text)) {
            throw self::refused('not-a-calendar-file');
        }
        $depth = $calendars = 0;
        $parts = [];
        foreach (preg_split('/\R/', (string) preg_replace('/^\x{FEFF}/u', '', $text)) ?: [] as $number => $line) {
            $begins = 0 === stripos($line, 'BEGIN:');
            $calendars += $begins && 0 === $depth ? 1 : 0;
            $parts[$calendars][] = $line;
            $depth += $begins ? 1 : (0 === stripos($line, 'END:') ? -1 : 0);
            if ($depth > self::DEEPEST) {
                throw self::refused('parts-too-deep', ['line' => $number + 1]);
            }
        }
        unset($parts[0]);
        $read = array_map(self::one(...), $parts);
        $first = array_shift($read) ?? throw self::refused('not-a-calendar-file');
        foreach (
            array_merge(...array_map(static fn(VCalendar $one): array => $one->getComponents(), $read))
            as $component
        ) {
            $first->add($component);
        }

        return $first;
    }

    /**
     * A stream has one calendar after the other (RFC 5545, 3.4).
     *
     * @param list<string> $lines
     */
    private static function one(array $lines): VCalendar
    {
        try {
            $calendar = Reader::read(implode("\r\n", $lines), Reader::OPTION_FORGIVING);
        } catch (ParseException $exception) {
            throw self::refused('calendar-unreadable', ['reason' => rtrim($exception->getMessage(), '.')]);
        }

        return $calendar instanceof VCalendar ? $calendar : throw self::refused('not-a-calendar');
    }

    /** @return list<Entry> */
    private static function entries(VCalendar $calendar, string $kind): array
    {
        $entries = [];
        foreach ($calendar->select($kind) as $component) {
            if ($component instanceof Component) {
                $entries[] = Entry::of($component);
            }
        }

        return $entries;
    }

    /**
     * @param list<int>        $lines
     * @param \Closure(): void $read
     *
     * @throws InvalidData
     */
    private function reading(Entry $entry, int $i, array $lines, \Closure $read): void
    {
        try {
            $read();
        } catch (\InvalidArgumentException $wrong) {
            throw self::refused('event-unreadable', [
                'event' => $i + 1,
                'name' => $entry->name(),
                'line' => $lines[$i] ?? 0,
                'reason' => $wrong->getMessage(),
            ]);
        }
    }

    /** @return string|null why the event is passed over */
    private function passedOver(Entry $entry, Event $event): ?string
    {
        return match (true) {
            'CANCELLED' === strtoupper($entry->text('STATUS')) => 'it is cancelled',
            'TRANSPARENT' === strtoupper($entry->text('TRANSP')) && !$event->allDay && [] === $event->extras
                => 'it is marked as free time',
            [] === $event->times => \sprintf('it does not happen before %s', CivilDate::format($this->until)),
            default => null,
        };
    }

    /** @return list<int> the line at which each event starts */
    private static function lines(string $text): array
    {
        $lines = [];
        foreach (preg_split('/\R/', $text) ?: [] as $number => $line) {
            if (0 === strcasecmp(trim($line), 'BEGIN:VEVENT')) {
                $lines[] = $number + 1;
            }
        }

        return $lines;
    }

    /** @param array<string, string|int|list<string>> $arguments */
    private static function refused(string $code, array $arguments = []): InvalidData
    {
        return InvalidData::at('/ics', $code, $arguments);
    }
}
