<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Json;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\State;
use Meandros\Core\Plan\Element\WeekBand;
use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\SpecialDay;
use Meandros\Core\Time\TimeOfDay;
use Meandros\Core\Time\Weekday;

/** Reads hours from JSON: bands that end before they start, overlap, or name no known state are refused. */
final class HoursReader
{
    private const WEEK_SECONDS = 7 * TimeOfDay::DAY;

    /** @var list<string> */
    private array $stateKeys = [];

    public static function read(Input $in): Hours
    {
        $in->onlyFields(['id', 'kind', 'name', 'site', 'states', 'default', 'week', 'specialDays']);

        return (new self())->hours($in);
    }

    private function hours(Input $in): Hours
    {
        $states = $this->states($in->field('states'));
        $default = $in->field('default')->text(60);
        if (!\in_array($default, $this->stateKeys, true)) {
            $in->field('default')->complain('The default state is not among the states.', 'Choose one of: '.implode(', ', $this->stateKeys).'.');
        }

        return new Hours(
            $in->field('id')->id(),
            $in->field('name')->text(),
            $in->field('site')->text(80),
            $states,
            $default,
            $this->week($in->field('week')),
            $this->specialDays($in->field('specialDays')),
        );
    }

    /** @return non-empty-list<State> */
    private function states(Input $in): array
    {
        $states = [];
        foreach ($in->items() as $item) {
            $state = State::fromJson($item);
            if (\in_array($state->key, $this->stateKeys, true)) {
                $item->field('key')->complain('Two states have this key.', 'Give each state a key of its own.');
            }
            $this->stateKeys[] = $state->key;
            $states[] = $state;
        }
        if ([] === $states) {
            $in->complain('Hours need at least one state.', 'Add a state such as open or closed.');

            return [new State('closed', 'Closed', false)];
        }

        return $states;
    }

    /** @return list<WeekBand> */
    private function week(Input $in): array
    {
        $week = $taken = [];
        foreach ($in->items() as $item) {
            $item->onlyFields(['days', 'from', 'to', 'state']);
            $days = $this->days($item->field('days'));
            $band = $this->band($item);
            if (null === $band || [] === $days) {
                continue;
            }
            foreach ($days as $day) {
                $start = $day->index() * TimeOfDay::DAY + $band->fromSeconds;
                $this->claim($item, $taken, $start, $start + $band->toSeconds - $band->fromSeconds, $day->name);
            }
            $week[] = new WeekBand($days, $band);
        }

        return $week;
    }

    /** @return list<Weekday> in week order */
    private function days(Input $in): array
    {
        $days = [];
        foreach ($in->items() as $item) {
            /** @var Weekday $day */
            $day = $item->oneOf(Weekday::class, Weekday::Monday);
            if (isset($days[$day->index()])) {
                $item->complain('This day is named twice.', 'Name each day once.');
            }
            $days[$day->index()] = $day;
        }
        if ([] === $days) {
            $in->complain('This band is on no day.', 'Choose at least one weekday.');
        }
        ksort($days);

        return array_values($days);
    }

    private function band(Input $in): ?Band
    {
        $from = $this->time($in->field('from'), TimeOfDay::DAY - 1);
        $to = $this->time($in->field('to'), TimeOfDay::LATEST);
        $state = $in->field('state')->text(60);
        if (!\in_array($state, $this->stateKeys, true)) {
            $in->field('state')->complain(\sprintf('"%s" is not a state of these hours.', $state), 'Choose one of: '.implode(', ', $this->stateKeys).'.');
        }
        if (null === $from || null === $to) {
            return null;
        }
        if ($to <= $from) {
            $in->field('to')->complain(
                \sprintf('The band ends at %s, before it starts at %s.', TimeOfDay::format($to), TimeOfDay::format($from)),
                \sprintf('Give a later end; for an end on the next day write %s.', TimeOfDay::format($to + TimeOfDay::DAY)),
            );

            return null;
        }

        return new Band($from, $to, $state);
    }

    private function time(Input $in, int $latest): ?int
    {
        $text = $in->text(8);
        $seconds = TimeOfDay::parse($text);
        if ('' !== $text && (null === $seconds || $seconds > $latest)) {
            $in->complain(\sprintf('"%s" is not a time here.', $text), \sprintf('Write hours and minutes, such as 09:30, up to %s.', TimeOfDay::format($latest)));

            return null;
        }

        return $seconds;
    }

    /** @return list<SpecialDay> */
    private function specialDays(Input $in): array
    {
        $days = [];
        foreach ($in->items() as $item) {
            $item->onlyFields(['date', 'name', 'bands']);
            $text = $item->field('date')->text(10);
            $day = CivilDate::parse($text);
            if (null === $day) {
                $item->field('date')->complain(\sprintf('The date "%s" does not exist.', $text), 'Write an existing date as YYYY-MM-DD.');
                continue;
            }
            if (isset($days[$day])) {
                $item->field('date')->complain('This date has two special days.', 'Put the bands of the date into one of them.');
            }
            $bands = $taken = [];
            foreach ($item->field('bands')->items() as $bandItem) {
                $bandItem->onlyFields(['from', 'to', 'state']);
                $band = $this->band($bandItem);
                if (null !== $band) {
                    $this->claim($bandItem, $taken, $band->fromSeconds, $band->toSeconds, $text);
                    $bands[] = $band;
                }
            }
            $days[$day] = new SpecialDay($day, $item->field('name')->text(), $bands);
        }
        ksort($days);

        return array_values($days);
    }

    /**
     * Takes a stretch for a band; the week is a circle, so a stretch past Sunday's midnight meets Monday.
     *
     * @param list<array{int, int, string}> $taken
     */
    private function claim(Input $in, array &$taken, int $start, int $end, string $day): void
    {
        foreach ($taken as [$from, $to, $pointer]) {
            foreach ([0, self::WEEK_SECONDS, -self::WEEK_SECONDS] as $shift) {
                if ($start + $shift < $to && $from < $end + $shift) {
                    $in->complain(\sprintf('This band overlaps the one at %s on %s.', $pointer, $day), 'Move an edge, or remove one of the two.');

                    return;
                }
            }
        }
        $taken[] = [$start, $end, $in->pointer];
    }
}
