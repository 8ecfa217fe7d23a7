<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

use Meandros\Core\Time\CivilDate;

/** An event of a calendar file, with every time at which it happens, on the wall clock of the zone it was asked for. */
final readonly class Event
{
    /**
     * @param list<array{start: int, end: int}> $times   local times in seconds since 1970-01-01T00:00, in order
     * @param RecurrenceRule|null               $endless the rule of an event that goes on for ever and is changed by nothing else
     * @param array<string, string>             $extras  X- properties, by name
     */
    public function __construct(
        public string $uid,
        public string $name,
        public bool $allDay,
        public array $times,
        public ?RecurrenceRule $endless,
        public array $extras,
    ) {}

    /** @return list<array{day: int, from: int, to: int}> the parts of local days that it takes, in seconds since midnight */
    public function parts(): array
    {
        $parts = [];
        foreach ($this->times as ['start' => $start, 'end' => $end]) {
            for ($day = CivilDate::ofLocalSecond($start); $day * CivilDate::SECONDS_PER_DAY < $end; ++$day) {
                $midnight = $day * CivilDate::SECONDS_PER_DAY;
                $parts[] = [
                    'day' => $day,
                    'from' => max(0, $start - $midnight),
                    'to' => min(CivilDate::SECONDS_PER_DAY, $end - $midnight),
                ];
            }
        }

        return $parts;
    }
}
