<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Expected;

use Meandros\Core\Plan\Element\WeekBand;
use Meandros\Core\Plan\Json\BandReader;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** The times at which a promise holds: all that is said must be so; where nothing is said, always. */
final readonly class ExpectedTimes
{
    /**
     * @param string|null    $hours    that must be in one of the states
     * @param list<string>   $states   by key; none: in any that is open
     * @param string|null    $calendar of which it must be a holiday
     * @param list<WeekBand> $windows  in one of which it must be, by the time at the number's site; none: at any time
     */
    public function __construct(
        public ?string $hours = null,
        public array $states = [],
        public ?string $calendar = null,
        public array $windows = [],
    ) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['hours', 'states', 'calendar', 'windows']);
        $states = [];
        foreach ($in->field('states')->items(Limits::STATES) as $item) {
            $states[] = $item->exactText(Limits::KEY);
        }
        $hours = $in->field('hours')->reference();
        if (null === $hours && [] !== $states) {
            $in->field('states')->complain('states-of-no-hours');
        }

        return new self(
            $hours,
            array_values(array_unique($states)),
            $in->field('calendar')->reference(),
            BandReader::windows($in->field('windows')),
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'hours' => $this->hours,
            'states' => $this->states,
            'calendar' => $this->calendar,
            'windows' => array_map(
                static fn(WeekBand $band): array => array_diff_key($band->toJson(), ['state' => true]),
                $this->windows,
            ),
        ];
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        $references = [];
        if (null !== $this->hours) {
            $references[] = new Reference($this->hours, $pointer . '/hours', [Kind::Hours], 'says when it is promised');
        }
        if (null !== $this->calendar) {
            $references[] = new Reference(
                $this->calendar,
                $pointer . '/calendar',
                [Kind::Calendar],
                'says when it is promised',
            );
        }

        return $references;
    }
}
