<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Json;

use Meandros\Core\Plan\Element\WeekBand;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Time\Band;
use Meandros\Core\Time\TakenTime;
use Meandros\Core\Time\TimeOfDay;
use Meandros\Core\Time\Weekday;
use Meandros\Core\Value\Lists;

/** Reads bands of a week or of one day: those that end before they start, overlap, or name no known state are refused. */
final readonly class BandReader
{
    private const WEEK_SECONDS = 7 * TimeOfDay::DAY;

    /** What a window of time is, in place of a state. */
    public const WINDOW = 'in';

    /** @param list<string> $stateKeys */
    public function __construct(private array $stateKeys) {}

    /**
     * Windows of time: bands without a state.
     *
     * @return list<WeekBand>
     */
    public static function windows(Input $in): array
    {
        return (new self([]))->bands($in, ['days', 'from', 'to']);
    }

    /** @return list<WeekBand> */
    public function week(Input $in): array
    {
        return $this->bands($in, ['days', 'from', 'to', 'state']);
    }

    /**
     * @param list<string> $fields
     *
     * @return list<WeekBand>
     */
    private function bands(Input $in, array $fields): array
    {
        $week = [];
        $taken = new TakenTime();
        foreach ($in->items(Limits::WEEK_BANDS) as $item) {
            $item->onlyFields($fields);
            $days = self::days($item->field('days'));
            $band = self::band(
                $item,
                Lists::has($fields, 'state') ? $this->state($item->field('state')) : self::WINDOW,
            );
            if (null === $band || [] === $days) {
                continue;
            }
            foreach ($days as $day) {
                $start = $day->index() * TimeOfDay::DAY + $band->fromSeconds;
                self::claim($item, $taken, $start, $start + $band->toSeconds - $band->fromSeconds, $day->name);
            }
            $week[] = new WeekBand($days, $band);
        }

        return $week;
    }

    /** @return list<Band> */
    public function day(Input $in, string $date): array
    {
        $bands = [];
        $taken = new TakenTime();
        foreach ($in->items(Limits::DAY_BANDS) as $item) {
            $item->onlyFields(['from', 'to', 'state']);
            $band = self::band($item, $this->state($item->field('state')));
            if (null !== $band) {
                self::claim($item, $taken, $band->fromSeconds, $band->toSeconds, $date);
                $bands[] = $band;
            }
        }

        return $bands;
    }

    /** The key of a state of these hours. */
    public function state(Input $in): string
    {
        $state = $in->exactText(Limits::KEY);
        if ('' !== $state && !Lists::has($this->stateKeys, $state)) {
            $in->complain('not-a-state', ['state' => Input::quote($state), 'choices' => $this->stateKeys]);
        }

        return $state;
    }

    /** @return int|null seconds since midnight */
    public static function time(Input $in, int $latest): ?int
    {
        $text = $in->exactText(8);
        $seconds = TimeOfDay::parse($text);
        if ('' !== $text && (null === $seconds || $seconds > $latest)) {
            $in->complain('not-a-time', ['time' => $text, 'latest' => TimeOfDay::format($latest)]);

            return null;
        }

        return $seconds;
    }

    /** @return list<Weekday> in week order */
    public static function days(Input $in): array
    {
        $days = [];
        foreach ($in->items(Limits::DAYS) as $item) {
            /** @var Weekday $day */
            $day = $item->oneOf(Weekday::class, Weekday::Monday);
            if (isset($days[$day->index()])) {
                $item->complain('day-twice');
            }
            $days[$day->index()] = $day;
        }
        if ([] === $days) {
            $in->complain('days-missing');
        }
        ksort($days);

        return array_values($days);
    }

    private static function band(Input $in, string $state): ?Band
    {
        $from = self::time($in->field('from'), TimeOfDay::DAY - 1);
        $to = self::time($in->field('to'), TimeOfDay::LATEST);
        if (null === $from || null === $to) {
            return null;
        }
        if ($to <= $from) {
            $in->field('to')->complain('band-backwards', [
                'to' => TimeOfDay::format($to),
                'from' => TimeOfDay::format($from),
                'later' => TimeOfDay::format($to + TimeOfDay::DAY),
            ]);

            return null;
        }

        return new Band($from, $to, $state);
    }

    /** Takes a stretch for a band; the week is a circle, so what runs past Sunday's midnight is of Monday. */
    private static function claim(Input $in, TakenTime $taken, int $start, int $end, string $day): void
    {
        $pieces =
            $end <= self::WEEK_SECONDS
                ? [[$start, $end]]
                : [[$start, self::WEEK_SECONDS], [0, $end - self::WEEK_SECONDS]];
        foreach ($pieces as [$from, $to]) {
            $other = $taken->claim($from, $to, $in->pointer);
            if (null !== $other) {
                $in->complain('band-overlaps', ['from' => $other, 'day' => $day]);

                return;
            }
        }
    }
}
