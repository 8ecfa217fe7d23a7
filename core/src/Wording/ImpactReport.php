<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Proof\Change;
use Meandros\Core\Proof\Changed;
use Meandros\Core\Proof\Impact;
use Meandros\Core\Proof\Intervals;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Proof\Severity;
use Meandros\Core\Proof\Times;
use Meandros\Core\Time\Moment;

/** What another plan changes for the calls to numbers, as JSON: the data, and beside it the words. Changes that read the same are one. */
final class ImpactReport
{
    /** So many times of a week, or of a season, are told one by one; of more it is told in which state hours are then. */
    private const FEW_TIMES = 2;

    /**
     * Numbers whose calls change alike are told alike: the words are found once for all of them.
     *
     * @param list<Changed>            $found
     * @param \Closure(Number): string $zone  in which the times of a number are told
     *
     * @return list<array{Number, list<array{severity: string, when: string, what: string, first: string, seconds: int, intervals: int, keys: list<string>, from: string, phones: list<string>}>}>
     */
    public static function ofAll(
        array $found,
        ChangeWords $words,
        int $from,
        int $until,
        \Closure $zone,
        LookedUp $lookedUp,
    ): array {
        $told = $known = $reports = [];
        foreach ($found as $one) {
            $alike = [$one->changes, $zone($one->number)];
            $i = array_search($alike, $known, true);
            if (false === $i) {
                $i = array_push($known, $alike) - 1;
                $reports[$i] = self::of($one->changes, $words, $from, $until, $alike[1], $lookedUp);
            }
            $told[] = [$one->number, $reports[$i]];
        }

        return $told;
    }

    /**
     * @param list<Change> $changes  the worst first
     * @param int          $from     first instant of the stretch that was looked at
     * @param int          $until    first instant after it
     * @param LookedUp     $lookedUp in the plan that it becomes, over that stretch
     *
     * @return list<array{severity: string, when: string, what: string, first: string, seconds: int, intervals: int, keys: list<string>, from: string, phones: list<string>}>
     */
    public static function of(
        array $changes,
        ChangeWords $words,
        int $from,
        int $until,
        string $zone,
        LookedUp $lookedUp,
    ): array {
        $groups = $edges = [];
        foreach ($changes as $change) {
            if (0 !== $change->moved) {
                $of = serialize($change->calls);
                $edges[$of] = [...$edges[$of] ?? [], ...$change->intervals];
            }
            $key = serialize([$change->severity, $words->alike($change), $change->calls]);
            $groups[$key]['changes'][] = $change;
            $groups[$key]['times'] = [...$groups[$key]['times'] ?? [], ...$change->intervals];
        }
        $report = $told = $ofEverybody = $worse = [];
        foreach ($groups as ['changes' => $changes, 'times' => $times]) {
            $change = $changes[0];
            $times = Intervals::union($times) ?: $times;
            $what = $words->together($changes);
            // Whoever presses something notices what everybody notices, sooner or later by what it takes to press it: it is told once.
            $of = serialize([$what, $change->calls->caller, $change->calls->phones]);
            if ([] === $change->calls->keys) {
                $ofEverybody[$of] = $times;
            } elseif (
                isset($ofEverybody[$of]) &&
                Intervals::areNear($times, $ofEverybody[$of], Impact::MOVED_AT_MOST)
            ) {
                continue;
            }
            // What is so before and after an edge that moved by seconds is so all the time.
            $gaps = Severity::Details === $change->severity ? $edges[serialize($change->calls)] ?? [] : [];
            $across = Intervals::across($times, $gaps);
            $said = Times::of($across, $from, $until, $zone);
            $isShort = self::areFew($said) && (0 !== $change->moved || self::areWholeMinutes($said));
            // What is otherwise for some seconds is told by itself.
            $calls = serialize($change->calls);
            $during =
                $isShort || 0 !== $change->moved
                    ? null
                    : self::during($change, $across, $worse[$calls] ?? [], $words, $lookedUp, $zone);
            $worse[$calls] = [...$worse[$calls] ?? [], ...$across];
            $when = match (true) {
                null !== $during => $during,
                !$isShort && 0 !== $change->moved => 'always',
                default => TimesWords::of($said),
            };
            $phones = null === $change->calls->phones ? [] : [$change->calls->phones->value];
            $same = $what . "\n" . $when . "\n" . implode(' ', $phones);
            if (isset($told[$same])) {
                continue;
            }
            $told[$same] = true;
            $one = [
                'severity' => $change->severity->value,
                'when' => $when,
                'what' => $what,
                'first' => Moment::format($times[0][0], $zone),
                'seconds' => array_sum(array_map(static fn(array $one): int => $one[1] - $one[0], $times)),
                'intervals' => \count($times),
                'keys' => $change->calls->keys,
                'from' => $change->calls->caller,
            ];
            // So is what is the same whether phones are busy, or cannot be reached.
            $key = [] === $phones ? \count($report) : serialize($one);
            $report[$key] = $one + ['phones' => [...$report[$key]['phones'] ?? [], ...$phones]];
        }

        return array_values($report);
    }

    /**
     * What calls look up then, and at no other time; or then and at times of which something worse is told.
     *
     * @param non-empty-list<array{int, int}> $times in order
     * @param list<array{int, int}>           $worse times of the same calls of which something was told before
     */
    private static function during(
        Change $change,
        array $times,
        array $worse,
        ChangeWords $words,
        LookedUp $lookedUp,
        string $zone,
    ): ?string {
        $found = $words->during($times, $change->after, $lookedUp, $zone);
        $before = Intervals::union($worse);
        if (null !== $found || [] === $before) {
            return $found;
        }
        $all = Intervals::union([...$times, ...$before]) ?: $times;
        $whole = $words->during($all, $change->after, $lookedUp, $zone);
        // Seconds that are missing to what was told are no rest of it.
        $isRest = null !== $whole && $whole !== $words->during($before, $change->after, $lookedUp, $zone);

        return $isRest ? 'otherwise ' . $whole : null;
    }

    /**
     * Numbers that only one of the plans has.
     *
     * @param list<Number> $numbers
     * @param Severity     $severity Gone or Come
     *
     * @return list<array{Number, list<array{severity: string, when: string, what: string, first: string, seconds: int, intervals: int, keys: list<string>, from: string, phones: list<string>}>}>
     */
    public static function ofOnlyOne(
        array $numbers,
        Severity $severity,
        ChangeWords $words,
        int $from,
        int $until,
    ): array {
        $told = [
            'severity' => $severity->value,
            'when' => 'always',
            'what' => '',
            'first' => Moment::format($from, 'UTC'),
            'seconds' => $until - $from,
            'intervals' => 1,
            'keys' => [],
            'from' => '',
            'phones' => [],
        ];

        return array_map(
            static fn(Number $one): array => [
                $one,
                [['what' => Severity::Gone === $severity ? $words->gone($one) : $words->come($one)] + $told],
            ],
            $numbers,
        );
    }

    private static function areFew(Times $times): bool
    {
        return \count($times->weekly) + (int) ([] !== $times->days) <= self::FEW_TIMES;
    }

    private static function areWholeMinutes(Times $times): bool
    {
        foreach ($times->weekly as $one) {
            if (0 !== $one->from % 60 || 0 !== $one->to % 60) {
                return false;
            }
        }

        return true;
    }
}
