<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** What the compiler needs of hours: each layer of them, and the state that holds where none has a say. */
final readonly class Timetable
{
    /**
     * @param array<int, list<Band>> $week        by weekday, 0 for Monday
     * @param list<Season>           $seasons     none overlaps another
     * @param list<ObservedCalendar> $calendars   the strongest first
     * @param array<int, SpecialDay> $specialDays by day since 1970-01-01
     * @param list<Override>         $overrides   the latest, and strongest, last
     */
    public function __construct(
        public string $zone,
        public string $defaultState,
        public array $week,
        public array $seasons = [],
        public array $calendars = [],
        public array $specialDays = [],
        public array $overrides = [],
    ) {}

    /** Whether the state is always the default one. */
    public function isSteady(): bool
    {
        if ([] !== $this->calendars || [] !== $this->specialDays || [] !== $this->overrides) {
            return false;
        }
        foreach (
            [$this->week, ...array_map(static fn(Season $season): array => $season->week, $this->seasons)]
            as $week
        ) {
            foreach (array_merge(...$week) as $band) {
                if ($band->state !== $this->defaultState) {
                    return false;
                }
            }
        }

        return true;
    }
}
