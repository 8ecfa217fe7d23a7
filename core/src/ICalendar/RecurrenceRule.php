<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

use Meandros\Core\Reading\Input;
use Meandros\Core\Time\Weekday;

/** The parts of an RRULE (RFC 5545 3.3.10), read and checked. */
final readonly class RecurrenceRule
{
    private const LISTS = [
        'BYSECOND' => [0, 60],
        'BYMINUTE' => [0, 59],
        'BYHOUR' => [0, 23],
        'BYMONTHDAY' => [-31, 31],
        'BYYEARDAY' => [-366, 366],
        'BYWEEKNO' => [-53, 53],
        'BYMONTH' => [1, 12],
        'BYSETPOS' => [-366, 366],
    ];

    /** Every day of a year, by number. */
    private const LONGEST = 2000;

    /**
     * @param array<string, list<int>>            $by    lists of numbers by the part's name
     * @param list<array{nth: int, weekday: int}> $byDay nth is 0 for every such weekday; 0 is Monday
     */
    private function __construct(
        public Frequency $frequency,
        public int $interval,
        public RecurrenceEnd $end,
        public array $by,
        public array $byDay,
        public int $weekStart,
    ) {}

    /** @throws \InvalidArgumentException that names the part */
    public static function parse(string $text): self
    {
        if (\strlen($text) > self::LONGEST) {
            throw new \InvalidArgumentException(\sprintf('its RRULE is longer than %d characters', self::LONGEST));
        }
        $parts = [];
        foreach (explode(';', strtoupper(trim($text))) as $part) {
            [$name, $value] = explode('=', $part, 2) + [1 => ''];
            if ('' !== $name) {
                $parts[$name] = $value;
            }
        }
        $frequency =
            Frequency::tryFrom($parts['FREQ'] ?? '') ??
            throw new \InvalidArgumentException(
                \sprintf('its RRULE has no frequency that is known (%s)', Input::quote($text)),
            );
        if (isset($parts['COUNT'], $parts['UNTIL'])) {
            throw new \InvalidArgumentException('its RRULE has both COUNT and UNTIL');
        }
        $by = [];
        foreach (self::LISTS as $name => [$least, $most]) {
            $by[$name] = isset($parts[$name]) ? self::numbers($name, $parts[$name], $least, $most) : [];
        }

        return new self(
            $frequency,
            self::positive('INTERVAL', $parts['INTERVAL'] ?? '1'),
            new RecurrenceEnd(
                isset($parts['COUNT']) ? self::positive('COUNT', $parts['COUNT']) : null,
                $parts['UNTIL'] ?? null,
            ),
            $by,
            isset($parts['BYDAY']) ? array_map(self::day(...), explode(',', $parts['BYDAY'])) : [],
            Weekday::tryFrom(strtolower($parts['WKST'] ?? 'mo'))?->index() ??
                throw new \InvalidArgumentException('its RRULE starts weeks on an unknown day'),
        );
    }

    /** Times of day are ignored where the event starts on a date alone (RFC 5545 3.3.10). */
    public function ofWholeDays(): self
    {
        $by = ['BYHOUR' => [], 'BYMINUTE' => [], 'BYSECOND' => []] + $this->by;

        return new self($this->frequency, $this->interval, $this->end, $by, $this->byDay, $this->weekStart);
    }

    public function has(string $name): bool
    {
        return 'BYDAY' === $name ? [] !== $this->byDay : [] !== $this->by[$name];
    }

    private static function positive(string $name, string $value): int
    {
        if (1 !== preg_match('/^[1-9]\d{0,5}$/D', $value)) {
            throw new \InvalidArgumentException(
                \sprintf('its RRULE has %s=%s, which is not a whole number above 0', $name, Input::quote($value)),
            );
        }

        return (int) $value;
    }

    /** @return list<int> */
    private static function numbers(string $name, string $value, int $least, int $most): array
    {
        $numbers = [];
        foreach (explode(',', $value) as $one) {
            if (
                1 !== preg_match('/^[+-]?\d{1,3}$/D', $one) ||
                (int) $one < $least ||
                (int) $one > $most ||
                (0 === (int) $one && $least < 0)
            ) {
                throw new \InvalidArgumentException(
                    \sprintf('its RRULE has %s=%s, which does not exist', $name, Input::quote($one)),
                );
            }
            $numbers[] = (int) $one;
        }

        return $numbers;
    }

    /** @return array{nth: int, weekday: int} */
    private static function day(string $text): array
    {
        $weekday =
            1 === preg_match('/^([+-]?\d{1,2})?(MO|TU|WE|TH|FR|SA|SU)$/D', $text, $part)
                ? Weekday::tryFrom(strtolower($part[2]))
                : null;
        if (null === $weekday) {
            throw new \InvalidArgumentException(
                \sprintf('its RRULE has BYDAY=%s, which is no weekday', Input::quote($text)),
            );
        }

        return ['nth' => (int) $part[1], 'weekday' => $weekday->index()];
    }
}
