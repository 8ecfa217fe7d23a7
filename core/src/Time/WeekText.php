<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * Bands as people type them: `mo-fr 9-12, 13-17:30 open; sa 9-12:30`. Days are two letters or more, times as on a
 * clock face (9, 930, 9:30, 9.30, 9h30, 5:30pm). An end that is not after its start lies on the next day, as in 22-6; where the
 * afternoon may be meant, as in 9-5 or 9-12, 1-5, it is asked which.
 */
final readonly class WeekText
{
    private const NAMES = [
        'mo' => 'monday',
        'tu' => 'tuesday',
        'we' => 'wednesday',
        'th' => 'thursday',
        'fr' => 'friday',
        'sa' => 'saturday',
        'su' => 'sunday',
    ];
    private const GROUPS = ['daily' => [0, 6], 'weekdays' => [0, 4], 'weekend' => [5, 6], 'weekends' => [5, 6]];
    /** Before it hardly anything opens. */
    private const MORNING = 8 * 3600;
    private const AFTERNOON = 13 * 3600;
    private const TIME = '(\d{1,2})(?:[:.h]?(\d{2})|h)?\s*(am|pm)?';

    /** @param array<string, string> $states what each state is called, by key; the first is meant when none is named */
    public function __construct(private array $states) {}

    /**
     * @return list<array{days: list<Weekday>, bands: list<Band>}> one per line or semicolon
     *
     * @throws \InvalidArgumentException that says which words were not understood
     */
    public function parse(string $text): array
    {
        $entries = [];
        foreach (preg_split('/[;\n]+/', mb_strtolower($text)) ?: [] as $line) {
            $line = trim($line);
            if ('' !== $line) {
                [$days, $rest] = $this->days($line);
                $entries[] = ['days' => $days, 'bands' => $this->bands($rest)];
            }
        }
        if ([] === $entries) {
            throw new \InvalidArgumentException(
                'Nothing is typed yet. Write days, times and a state, such as mo-fr 9-12, 13-17:30 open.',
            );
        }

        return $entries;
    }

    /** @return array{non-empty-list<Weekday>, string} the days, and what follows them */
    private function days(string $line): array
    {
        $rest = preg_replace('/\s*[-–]\s*/u', '-', $line) ?? $line;
        $found = [];
        while (1 === preg_match('/^([a-z]+)(?:-([a-z]+))?[\s,]*(.*)$/sD', $rest, $part)) {
            $from = self::GROUPS[$part[1]] ?? self::day($part[1]);
            $to = '' === $part[2] ? $from : self::day($part[2]);
            if (null === $from || null === $to) {
                break;
            }
            [$first, $last] = [$from[0], $to[1]];
            for ($i = 0; $i <= ($last - $first + 7) % 7; ++$i) {
                $found[($first + $i) % 7] = Weekday::cases()[($first + $i) % 7];
            }
            $rest = $part[3];
        }
        if ([] === $found) {
            throw new \InvalidArgumentException(
                \sprintf(
                    '“%s” does not begin with a day. Write mo, tu, we, th, fr, sa, su, a range such as mo-fr, weekdays, weekend or daily.',
                    mb_strimwidth($line, 0, 80, '…'),
                ),
            );
        }
        ksort($found);

        return [array_values($found), $rest];
    }

    /** @return array{int, int}|null */
    private static function day(string $word): ?array
    {
        foreach (array_values(self::NAMES) as $i => $name) {
            if (\strlen($word) >= 2 && (str_starts_with($name, $word) || $name . 's' === $word)) {
                return [$i, $i];
            }
        }

        return null;
    }

    /**
     * Times and the state at their end, as in `9-12, 13-17:30 open`.
     *
     * @return non-empty-list<Band> in order, none over another
     *
     * @throws \InvalidArgumentException
     */
    public function bands(string $text): array
    {
        $rest = ltrim(preg_replace('/\s*[-–]\s*/u', '-', mb_strtolower(trim($text))) ?? $text);
        $times = [];
        while (1 === preg_match('/^' . self::TIME . '-' . self::TIME . '[\s,]*(?:and\s+)?(.*)$/sD', $rest, $part)) {
            $from = self::seconds($part[1], $part[2], $part[3]);
            $to = self::seconds($part[4], $part[5], $part[6]);
            $before = end($times) ?: [0, 0];
            if ($from < min($before[0], self::MORNING) && self::isOfEitherHalf($part[1], $part[3])) {
                throw self::whichHalf(
                    $from,
                    \sprintf('%s does not come after %s', self::clock($from), self::clock($before[0])),
                );
            }
            if ($to <= $from && $from < self::AFTERNOON && self::isOfEitherHalf($part[4], $part[6])) {
                throw self::whichHalf($to, \sprintf('%s does not come after %s', self::clock($to), self::clock($from)));
            }
            $times[] = [$from, $to <= $from ? $to + TimeOfDay::DAY : $to];
            $rest = $part[7];
        }
        $rest = preg_replace('/^(all day|24h)[\s,]*/', '', $rest) ?? $rest;
        $state = $this->state(trim($rest));
        $times = [] === $times ? [[0, TimeOfDay::DAY]] : $times;
        sort($times);
        $end = 0;
        foreach ($times as [$from, $to]) {
            if ($from < $end) {
                throw new \InvalidArgumentException(
                    \sprintf(
                        '%s–%s overlaps the time before it. Move one of them.',
                        TimeOfDay::format($from),
                        TimeOfDay::format($to),
                    ),
                );
            }
            $end = $to;
        }

        return array_map(static fn(array $time): Band => new Band($time[0], $time[1], $state), $times);
    }

    /** Whether an hour may be one of the morning or of the afternoon: 5, and not 05, 17 or 5pm. */
    private static function isOfEitherHalf(string $hour, string $half): bool
    {
        return '' === $half && !str_starts_with($hour, '0') && (int) $hour <= 12;
    }

    private static function whichHalf(int $time, string $why): \InvalidArgumentException
    {
        $later = ($time + 12 * 3600) % TimeOfDay::DAY;

        return new \InvalidArgumentException(
            \sprintf(
                '%s. Write %s for the afternoon, or %s for the morning.',
                $why,
                self::clock($later),
                self::clock($time),
            ),
        );
    }

    /** As a whole day has it: 09:00, and not 9. */
    private static function clock(int $time): string
    {
        return TimeOfDay::format($time % TimeOfDay::DAY);
    }

    private static function seconds(string $hour, string $minute, string $half): int
    {
        [$hours, $minutes] = [(int) $hour, (int) $minute];
        if ('' !== $half && $hours >= 1 && $hours <= 12) {
            $hours = ($hours % 12) + ('pm' === $half ? 12 : 0);
        }
        if ($minutes > 59 || $hours * 60 + $minutes > 24 * 60 || ('' !== $half && (int) $hour > 12)) {
            throw new \InvalidArgumentException(
                \sprintf(
                    'There is no time %s%s%s. Write hours from 0 to 24, such as 9, 9:30 or 17:30.',
                    $hour,
                    '' === $minute ? '' : ':' . $minute,
                    $half,
                ),
            );
        }

        return $hours * 3600 + $minutes * 60;
    }

    private function state(string $words): string
    {
        if ('' === $words) {
            return (string) array_key_first($this->states);
        }
        foreach ($this->states as $key => $name) {
            if ($words === (string) $key || str_starts_with(mb_strtolower($name), $words)) {
                return (string) $key;
            }
        }

        throw new \InvalidArgumentException(
            \sprintf(
                '“%s” is not understood. End with one of the states: %s.',
                mb_strimwidth($words, 0, 80, '…'),
                implode(', ', $this->states),
            ),
        );
    }
}
