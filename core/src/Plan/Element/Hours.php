<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
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
final readonly class Hours implements Element
{
    use Copied;
    use Named;
    use WithoutParts;

    /**
     * @param string|null           $zone        IANA; null for the zone of the site
     * @param non-empty-list<State> $states
     * @param list<WeekBand>        $week
     * @param list<SeasonWeek>      $seasons     none overlaps another
     * @param list<CalendarUse>     $calendars   the strongest first
     * @param list<SpecialDay>      $specialDays in order of date
     * @param list<DialCode>        $codes
     */
    public function __construct(
        private string $id,
        private string $name,
        public string $site,
        public ?string $zone,
        public array $states,
        public string $default,
        public array $week,
        public array $seasons,
        public array $calendars,
        public array $specialDays,
        public array $codes,
    ) {}

    public static function fromJson(Input $in): static
    {
        return HoursReader::read($in);
    }

    public function state(string $key): ?State
    {
        foreach ($this->states as $state) {
            if ($state->key === $key) {
                return $state;
            }
        }

        return null;
    }

    /** Whether a state is marked as one in which they are open; one that there is none of is not. */
    public function isOpen(string $state): bool
    {
        return $this->state($state)->open ?? false;
    }

    public function kind(): Kind
    {
        return Kind::Hours;
    }

    /** @param list<SpecialDay> $specialDays in order of date */
    public function withSpecialDays(array $specialDays): self
    {
        return $this->with(specialDays: $specialDays);
    }

    /** @param list<CalendarUse> $calendars the strongest first */
    public function withCalendars(array $calendars): self
    {
        return $this->with(calendars: $calendars);
    }

    public function code(string $dialled): ?DialCode
    {
        foreach ($this->codes as $code) {
            if ($code->code === $dialled) {
                return $code;
            }
        }

        return null;
    }

    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'kind' => 'hours',
            'name' => $this->name,
            'site' => $this->site,
            'zone' => $this->zone,
            'states' => array_map(static fn(State $state): array => $state->toJson(), $this->states),
            'default' => $this->default,
            'week' => array_map(static fn(WeekBand $band): array => $band->toJson(), $this->week),
            'seasons' => array_map(static fn(SeasonWeek $season): array => $season->toJson(), $this->seasons),
            'calendars' => array_map(static fn(CalendarUse $use): array => $use->toJson(), $this->calendars),
            'specialDays' => array_map(
                static fn(SpecialDay $day): array => [
                    'date' => CivilDate::format($day->day),
                    'name' => $day->name,
                    'bands' => array_map(static fn(Band $band): array => $band->toJson(), $day->bands),
                ],
                $this->specialDays,
            ),
            'codes' => array_map(static fn(DialCode $code): array => $code->toJson(), $this->codes),
        ];
    }

    public function references(): array
    {
        $references = [new Reference($this->site, '/site', [Kind::Site], 'keeps its time')];
        foreach ($this->calendars as $i => $use) {
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
