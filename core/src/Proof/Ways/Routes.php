<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Proof\PossibleEnding;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Walk;

/** The shortest and the longest way to each ending, over the places at which calls may stand. */
final class Routes
{
    /** @var array<string, int> seconds to each place at most, by key */
    private array $most = [];
    /** @var array<string, array{string, Acts, int}> the place before, the acts from there, and their seconds, by key */
    private array $mostFrom = [];
    /** @var array<string, int> places before each on the longest way, by key */
    private array $before = [];
    /** @var array<string, int> how much has to be said for the longest way to each, by key */
    private array $said = [];
    /** @var array<string, true> places to which a way leads that goes round */
    private array $rounds = [];

    /** @param array<string, Stand> $stands by key */
    public function __construct(
        private readonly array $stands,
        private readonly string $start,
        private readonly Soonest $soonest,
    ) {
        $this->longest();
    }

    /** @return list<Stand> at whose steps something that is looked up changes while calls may come there */
    public function unsteady(): array
    {
        return array_values(
            array_filter(
                $this->stands,
                fn(Stand $stand, string $key): bool => !$stand->isSteady(
                    $this->soonest->seconds[$key],
                    isset($this->rounds[$key]) ? null : $this->most[$key],
                ),
                \ARRAY_FILTER_USE_BOTH,
            ),
        );
    }

    /**
     * A place that the longest way comes to, or goes on from, later than any call may, or by so many steps again that it is stopped; null
     * where there is none.
     */
    public function tooFar(): ?Stand
    {
        foreach ($this->stands as $key => $stand) {
            $repeats = ($this->before[$key] ?? 0) < Walk::MOST_REPEATS ? 0 : $this->repeats($key);
            $isTooFar = $this->last($key, $stand) >= TrialCall::MOST_SECONDS || $repeats >= Walk::MOST_REPEATS;
            if ($isTooFar && !isset($this->rounds[$key])) {
                return $stand;
            }
        }

        return null;
    }

    /** The last second at which a call may end that comes to a place; where it is stopped, that in which it was there yet. */
    private function last(string $key, Stand $stand): int
    {
        $most = 0;
        foreach ($stand->ends as [$ending, $leg]) {
            $most = max($most, $leg->most - (EndingKind::LoopStopped === $ending->kind ? 1 : 0));
        }

        return $this->most[$key] + $most;
    }

    /** Steps to which the longest way to a place comes again. */
    private function repeats(string $key): int
    {
        $steps = [];
        $all = 0;
        for (; isset($this->mostFrom[$key]); $key = $this->mostFrom[$key][0]) {
            $place = $this->stands[$key]->way->place();
            $isPart = null === $place || null !== $this->stands[$key]->way->within();
            $isPart || ($steps[implode('/', $place)] = true);
            $all += $isPart ? 0 : 1;
        }

        return $all - \count($steps);
    }

    /** @return list<PossibleEnding> the soonest first */
    public function endings(Assumptions $given): array
    {
        /** @var array<string, array{Ending, int, array{string, Acts}, int|null, array{string, Acts}, int}> $found with the last place before it, what is done there, and how much has to be said for the soonest */
        $found = [];
        foreach ($this->stands as $key => $stand) {
            foreach ($stand->ends as $name => [$ending, $leg]) {
                $least = $this->soonest->seconds[$key] + $leg->least;
                $most =
                    isset($this->rounds[$key]) || isset($stand->afterRounds[$name])
                        ? null
                        : $this->most[$key] + $leg->most;
                $known = $found[$name] ?? null;
                $said = $this->soonest->said[$key] + $leg->leastBy->count();
                $isSooner = null === $known || [$least, $said] < [$known[1], $known[5]];
                $isLater = null === $known || (null !== $known[3] && (null === $most || $most > $known[3]));
                $found[$name] = [
                    $ending,
                    $isSooner ? $least : $known[1],
                    $isSooner ? [$key, $leg->leastBy] : $known[2],
                    $isLater ? $most : $known[3],
                    $isLater ? [$key, $leg->mostBy] : $known[4],
                    $isSooner ? $said : $known[5],
                ];
            }
        }
        usort($found, static fn(array $a, array $b): int => $a[1] <=> $b[1]);
        $endings = array_map(
            fn(array $one): PossibleEnding => new PossibleEnding(
                $one[0],
                $one[1],
                $this->way($one[2][0], $this->soonest->from, $one[2][1])->inShort($given),
                $one[3],
                $this->way($one[4][0], $this->mostFrom, $one[4][1])->inShort($given),
            ),
            $found,
        );

        return [...$endings, ...$this->givenUp($given)];
    }

    /**
     * Callers may give up at any second of any way, as long as they are there: in the first second on the way of which the least has to
     * be said, and in the last one of the longest.
     *
     * @return list<PossibleEnding>
     */
    private function givenUp(Assumptions $given): array
    {
        $seconds = 0;
        $most = $least = null;
        $fewest = \PHP_INT_MAX;
        $isEndless = false;
        foreach ($this->stands as $key => $stand) {
            $goesRound = isset($this->rounds[$key]) || [] !== $stand->afterRounds;
            $isEndless = $isEndless || ($goesRound && null === $stand->walk->kept());
            $there = $this->most[$key] + ($stand->there->most ?? 0);
            if (null === $stand->there || 0 === $there) {
                continue;
            }
            $said = $this->said($key) + $stand->there->mostBy->count();
            if ($said < $fewest) {
                [$fewest, $least] = [$said, [$key, $stand->there->mostBy]];
            }
            if ($there > $seconds) {
                [$seconds, $most] = [$there, [$key, $stand->there->mostBy]];
            }
        }

        return null === $most || null === $least
            ? []
            : [
                new PossibleEnding(
                    new Ending(EndingKind::CallerGaveUp),
                    1,
                    $this->way($least[0], $this->mostFrom, $least[1])->inShort($given, 1),
                    $isEndless ? null : $seconds,
                    $this->way($most[0], $this->mostFrom, $most[1])->inShort($given, $seconds),
                ),
            ];
    }

    /** How much has to be said for the longest way to a place. */
    private function said(string $key): int
    {
        $way = [];
        for (; !isset($this->said[$key]) && isset($this->mostFrom[$key]); $key = $this->mostFrom[$key][0]) {
            $way[] = $key;
        }
        $said = $this->said[$key] ??= 0;
        foreach (array_reverse($way) as $one) {
            $said = $this->said[$one] = $said + $this->mostFrom[$one][1]->count();
        }

        return $said;
    }

    /** In an order in which every place comes after those that lead to it; what is left over goes round, or comes after that. */
    private function longest(): void
    {
        $into = array_fill_keys(array_keys($this->stands), 0);
        foreach ($this->stands as $stand) {
            foreach (array_keys($stand->legs) as $to) {
                ++$into[$to];
            }
        }
        $this->most[$this->start] = $this->before[$this->start] = 0;
        $next = 0 === $into[$this->start] ? [$this->start] : [];
        while (null !== ($key = array_pop($next))) {
            foreach ($this->stands[$key]->legs as $to => $leg) {
                $seconds = $this->most[$key] + $leg->most;
                if (!isset($this->most[$to]) || $seconds > $this->most[$to]) {
                    $this->most[$to] = $seconds;
                    $this->mostFrom[$to] = [$key, $leg->mostBy, $leg->most];
                    $this->before[$to] = $this->before[$key] + 1;
                }
                if (0 === --$into[$to]) {
                    $next[] = $to;
                }
            }
        }
        foreach (array_keys(array_filter($into) + $this->afterRounds()) as $key) {
            $this->rounds[$key] = true;
            $this->most[$key] = $this->soonest->seconds[$key] ?? 0;
            unset($this->mostFrom[$key]);
            isset($this->soonest->from[$key]) && ($this->mostFrom[$key] = $this->soonest->from[$key]);
        }
    }

    /** @return array<string, int> places that calls come to after a step at which they may go round, by key */
    private function afterRounds(): array
    {
        $after = [];
        $next = array_keys(
            array_merge(
                ...array_values(
                    array_map(
                        static fn(Stand $one): array => array_intersect_key($one->legs, $one->afterRounds),
                        $this->stands,
                    ),
                ),
            ),
        );
        while (null !== ($key = array_pop($next))) {
            isset($after[$key]) || array_push($next, ...array_keys($this->stands[$key]->legs));
            $after[$key] = 1;
        }

        return $after;
    }

    /** @param array<string, array{string, Acts, int}> $from */
    private function way(string $to, array $from, Acts $last): Acts
    {
        $legs = [];
        for ($key = $to; $key !== $this->start && isset($from[$key]); $key = $from[$key][0]) {
            $legs[] = $from[$key];
        }
        $acts = new Acts();
        $seconds = 0;
        foreach (array_reverse($legs) as [, $leg, $took]) {
            $acts = $acts->then($leg->later($seconds));
            $seconds += $took;
        }

        return $acts->then($last->later($seconds));
    }
}
