<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Element\CalendarUse;
use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Element\WeekBand;
use Meandros\Core\Time\Band;
use Meandros\Core\Time\DatedDays;
use Meandros\Core\Time\HoursBook;
use Meandros\Core\Time\ObservedCalendar;
use Meandros\Core\Time\Override;
use Meandros\Core\Time\Reading;
use Meandros\Core\Time\Season;
use Meandros\Core\Time\Timetable;

/** The hours of a plan as they run: with the zone of their site, the holidays they keep, and what is forced on them. */
final class PlanHours
{
    /** Looked through for the next opening. */
    private const MOST_CHANGES = 400;

    /** @var array<string, HoursBook> */
    private array $books = [];
    /** @var array{string, int, Reading|null} the last reading */
    private array $last = ['', 0, null];

    /** @param list<Override> $overrides of any hours, the latest last */
    public function __construct(private readonly Plan $plan, private readonly array $overrides = []) {}

    /** @param list<Override> $overrides */
    public function isOf(Plan $plan, array $overrides): bool
    {
        return $this->plan === $plan && $this->overrides === $overrides;
    }

    public function read(Hours $hours, int $instant): Reading
    {
        [$id, $last] = [$hours->id(), $this->last];
        // The rules of a whole team ask for the same hours at the same second.
        if ($id !== $last[0] || $instant !== $last[1] || null === $last[2]) {
            $this->last = $last = [$id, $instant, ($this->books[$id] ??= $this->book($hours))->read($instant)];
        }

        return $last[2];
    }

    /** @return array{string, int|null, int|null} what a reading tells without what decided it: the state, since and until when */
    public function held(Hours $hours, int $instant): array
    {
        return ($this->books[$hours->id()] ??= $this->book($hours))->held($instant);
    }

    private function book(Hours $hours): HoursBook
    {
        // Windows of rules are hours too, and no elements: they are quickly compiled.
        $isElement = null !== $this->plan->kindOf($hours->id());
        $from = [
            $hours->id(),
            $hours->clock->site,
            ...array_map(static fn(CalendarUse $use): string => $use->calendar, $hours->days->calendars),
        ];

        return new HoursBook(
            fn(): Timetable => $this->timetable($hours),
            $isElement ? $this->plan->shelf($from, serialize($this->forced($hours))) : null,
        );
    }

    /**
     * The changes of state after an instant.
     *
     * @return list<array{int, Reading}> first instant and reading of each, at most so many
     */
    public function changes(Hours $hours, int $instant, int $most): array
    {
        $changes = [];
        $until = $this->read($hours, $instant)->until;
        while (null !== $until && \count($changes) < $most) {
            $reading = $this->read($hours, $until);
            $changes[] = [$until, $reading];
            $until = $reading->until;
        }

        return $changes;
    }

    /** @return int|null the first instant after this one at which they pass from a state that is not open to one that is */
    public function nextOpening(Hours $hours, int $instant): ?int
    {
        [$state, , $until] = $this->held($hours, $instant);
        for ($i = 0; $i < self::MOST_CHANGES && null !== $until; ++$i) {
            [$next, , $later] = $this->held($hours, $until);
            if ($hours->isOpen($next) && !$hours->isOpen($state)) {
                return $until;
            }
            [$state, $until] = [$next, $later];
        }

        return null;
    }

    public function zone(Hours $hours): string
    {
        return $hours->clock->zone ?? $this->plan->zoneOf($hours->clock->site);
    }

    public function timetable(Hours $hours): Timetable
    {
        $seasons = $calendars = $specialDays = [];
        foreach ($hours->days->seasons as $season) {
            $seasons[] = new Season($season->name, $season->span, self::byDay($season->week));
        }
        foreach ($hours->days->calendars as $use) {
            $calendar = $this->plan->get(HolidayCalendar::class, $use->calendar);
            if (null !== $calendar) {
                $calendars[] = new ObservedCalendar(
                    $calendar->id(),
                    $calendar->name(),
                    $calendar->holidays,
                    $use->state,
                    $use->exceptions,
                );
            }
        }
        foreach ($hours->days->specialDays as $specialDay) {
            $specialDays[$specialDay->day] = $specialDay;
        }

        return new Timetable(
            $this->zone($hours),
            $hours->states->default,
            self::byDay($hours->days->week),
            new DatedDays($seasons, $calendars, $specialDays),
            $this->forced($hours),
        );
    }

    /**
     * An override may outlive the state that it names: then it has no say.
     *
     * @return list<Override>
     */
    private function forced(Hours $hours): array
    {
        return array_values(
            array_filter(
                $this->overrides,
                static fn(Override $override): bool => $override->hours === $hours->id() &&
                    null !== $hours->states->find($override->state),
            ),
        );
    }

    /**
     * @param list<WeekBand> $bands
     *
     * @return array<int, list<Band>>
     */
    private static function byDay(array $bands): array
    {
        $week = [];
        foreach ($bands as $weekBand) {
            foreach ($weekBand->days as $day) {
                $week[$day->index()][] = $weekBand->band;
            }
        }

        return $week;
    }
}
