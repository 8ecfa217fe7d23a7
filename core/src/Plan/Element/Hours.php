<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\AtSite;
use Meandros\Core\Plan\Json\HoursReader;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\SpecialDay;
use Meandros\Core\Value\Copied;

/** A named timetable, in the zone of its site: at every instant it is in exactly one state. */
final readonly class Hours implements AtSite
{
    use Copied;
    use Named;
    use WithoutParts;

    public function __construct(
        private About $about,
        public Clock $clock,
        public HoursStates $states,
        public HoursDays $days,
    ) {}

    public function site(): string
    {
        return $this->clock->site;
    }

    public static function fromJson(Input $in): static
    {
        return HoursReader::read($in);
    }

    /** Whether a state is marked as one in which they are open; one that there is none of is not. */
    public function isOpen(string $state): bool
    {
        return $this->states->find($state)->open ?? false;
    }

    public function kind(): Kind
    {
        return Kind::Hours;
    }

    public function withDays(HoursDays $days): self
    {
        return $this->with(days: $days);
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson($this->kind()),
            'site' => $this->clock->site,
            'zone' => $this->clock->zone,
            'states' => array_map(static fn(State $state): array => $state->toJson(), $this->states->all),
            'default' => $this->states->default,
            'week' => array_map(static fn(WeekBand $band): array => $band->toJson(), $this->days->week),
            'seasons' => array_map(static fn(SeasonWeek $season): array => $season->toJson(), $this->days->seasons),
            'calendars' => array_map(static fn(CalendarUse $use): array => $use->toJson(), $this->days->calendars),
            'specialDays' => array_map(
                static fn(SpecialDay $day): array => [
                    'date' => CivilDate::format($day->day),
                    'name' => $day->name,
                    'bands' => array_map(static fn(Band $band): array => $band->toJson(), $day->bands),
                ],
                $this->days->specialDays,
            ),
            'codes' => array_map(static fn(DialCode $code): array => $code->toJson(), $this->states->codes),
        ];
    }

    public function references(): array
    {
        $references = [new Reference($this->clock->site, '/site', [Kind::Site], 'keeps its time')];
        foreach ($this->days->calendars as $i => $use) {
            $references[] = new Reference(
                $use->calendar,
                \sprintf('/calendars/%d/calendar', $i),
                [Kind::Calendar],
                'keeps its holidays',
            );
            foreach (array_keys($use->exceptions) as $j => $holiday) {
                $references[] = new Reference(
                    $use->calendar,
                    \sprintf('/calendars/%d/exceptions/%d/holiday', $i, $j),
                    [Kind::Calendar],
                    'makes an exception of a holiday',
                    $holiday,
                );
            }
        }

        return $references;
    }
}
