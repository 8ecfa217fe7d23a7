<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** What the compiler needs of hours: each layer of them, and the state that holds where none has a say. */
final readonly class Timetable
{
    /**
     * @param array<int, list<Band>> $week      by weekday, 0 for Monday
     * @param list<Override>         $overrides the latest, and strongest, last
     */
    public function __construct(
        public string $zone,
        public string $defaultState,
        public array $week,
        public DatedDays $dated = new DatedDays(),
        public array $overrides = [],
    ) {}

    /** Whether the state is always the default one. */
    public function isSteady(): bool
    {
        if ([] !== $this->dated->calendars || [] !== $this->dated->specialDays || [] !== $this->overrides) {
            return false;
        }
        foreach (
            [$this->week, ...array_map(static fn(Season $season): array => $season->week, $this->dated->seasons)]
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
