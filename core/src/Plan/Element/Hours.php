<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Json\HoursReader;
use Meandros\Core\Plan\Json\Input;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\SpecialDay;
use Meandros\Core\Time\Timetable;

/** A named timetable, in the zone of its site: at every instant it is in exactly one state. */
final readonly class Hours implements Element
{
    use Named;

    /**
     * @param non-empty-list<State> $states
     * @param list<WeekBand>        $week
     * @param list<SpecialDay>      $specialDays in order of date
     */
    public function __construct(
        private string $id,
        private string $name,
        public string $site,
        public array $states,
        public string $default,
        public array $week,
        public array $specialDays,
    ) {
    }

    public static function fromJson(Input $in): static
    {
        return HoursReader::read($in);
    }

    public function timetable(string $zone): Timetable
    {
        $week = $specialDays = [];
        foreach ($this->week as $weekBand) {
            foreach ($weekBand->days as $day) {
                $week[$day->index()][] = $weekBand->band;
            }
        }
        foreach ($this->specialDays as $specialDay) {
            $specialDays[$specialDay->day] = $specialDay;
        }

        return new Timetable($zone, $week, $specialDays, $this->default);
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

    public function kind(): Kind
    {
        return Kind::Hours;
    }

    public function toJson(): array
    {
        return [
            'id' => $this->id, 'kind' => 'hours', 'name' => $this->name, 'site' => $this->site,
            'states' => array_map(static fn (State $state): array => $state->toJson(), $this->states),
            'default' => $this->default,
            'week' => array_map(static fn (WeekBand $band): array => $band->toJson(), $this->week),
            'specialDays' => array_map(static fn (SpecialDay $day): array => [
                'date' => CivilDate::format($day->day),
                'name' => $day->name,
                'bands' => array_map(static fn (Band $band): array => $band->toJson(), $day->bands),
            ], $this->specialDays),
        ];
    }

    public function references(): array
    {
        return [new Reference($this->site, '/site', [Kind::Site], 'keeps its time')];
    }
}
