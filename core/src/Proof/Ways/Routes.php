<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Proof\PossibleEnding;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;

/** The shortest and the longest way to each ending, over the places at which calls may stand. */
final class Routes
{
    /** @var array<string, int> seconds to each place at least, by key */
    private array $least = [];
    /** @var array<string, array{string, Acts, int}> the place before, the acts from there, and their seconds */
    private array $leastFrom = [];
    /** @var array<string, int> */
    private array $most = [];
    /** @var array<string, array{string, Acts, int}> */
    private array $mostFrom = [];
    /** @var array<string, true> places to which a way leads that goes round */
    private array $rounds = [];

    /** @param array<string, Stand> $stands by key */
    public function __construct(private readonly array $stands, private readonly string $start)
    {
        $this->shortest();
        $this->longest();
    }

    /** @return list<Stand> at whose steps something that is looked up changes while calls may come there */
    public function unsteady(): array
    {
        return array_values(
            array_filter(
                $this->stands,
                fn(Stand $stand, string $key): bool => !$stand->isSteady(
                    $this->least[$key],
                    isset($this->rounds[$key]) ? null : $this->most[$key],
                ),
                \ARRAY_FILTER_USE_BOTH,
            ),
        );
    }

    /** @return list<PossibleEnding> the soonest first */
    public function endings(Assumptions $given): array
    {
        /** @var array<string, array{Ending, int, Acts, int|null, Acts}> $found */
        $found = [];
        foreach ($this->stands as $key => $stand) {
            foreach ($stand->ends as $name => [$ending, $leg]) {
                $least = $this->least[$key] + $leg->least;
                $most =
                    isset($this->rounds[$key]) || isset($stand->afterRounds[$name])
                        ? null
                        : $this->most[$key] + $leg->most;
                $known = $found[$name] ?? null;
                $isSooner = null === $known || $least < $known[1];
                $isLater = null === $known || (null !== $known[3] && (null === $most || $most > $known[3]));
                $found[$name] = [
                    $ending,
                    $isSooner ? $least : $known[1],
                    $isSooner ? $this->way($key, $this->leastFrom, $leg->leastBy) : $known[2],
                    $isLater ? $most : $known[3],
                    $isLater ? $this->way($key, $this->mostFrom, $leg->mostBy) : $known[4],
                ];
            }
        }
        usort($found, static fn(array $a, array $b): int => $a[1] <=> $b[1]);
        $endings = array_map(
            static fn(array $one): PossibleEnding => new PossibleEnding(
                $one[0],
                $one[1],
                $one[2]->inShort($given),
                $one[3],
                $one[4]->inShort($given),
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
        $isEndless = false;
        foreach ($this->stands as $key => $stand) {
            $there = $this->most[$key] + ($stand->there->most ?? 0);
            if (null === $stand->there || 0 === $there) {
                continue;
            }
            $isEndless = $isEndless || isset($this->rounds[$key]) || [] !== $stand->afterRounds;
            $by = $this->way($key, $this->mostFrom, $stand->there->mostBy);
            $least = null === $least || $by->count() < $least->count() ? $by : $least;
            if ($there > $seconds) {
                [$seconds, $most] = [$there, $by];
            }
        }

        return null === $most || null === $least
            ? []
            : [
                new PossibleEnding(
                    new Ending(EndingKind::CallerGaveUp),
                    1,
                    $least->inShort($given, 1),
                    $isEndless ? null : $seconds,
                    $most->inShort($given, $seconds),
                ),
            ];
    }

    /** Dijkstra's way: seconds are never fewer than none. */
    private function shortest(): void
    {
        $open = new \SplPriorityQueue();
        $open->insert($this->start, 0);
        $this->least[$this->start] = 0;
        $done = [];
        while (!$open->isEmpty()) {
            $key = $open->extract();
            if (!\is_string($key) || isset($done[$key])) {
                continue;
            }
            $done[$key] = true;
            foreach ($this->stands[$key]->legs as $to => $leg) {
                $seconds = $this->least[$key] + $leg->least;
                if (!isset($this->least[$to]) || $seconds < $this->least[$to]) {
                    $this->least[$to] = $seconds;
                    $this->leastFrom[$to] = [$key, $leg->leastBy, $leg->least];
                    $open->insert($to, -$seconds);
                }
            }
        }
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
        $this->most[$this->start] = 0;
        $next = 0 === $into[$this->start] ? [$this->start] : [];
        while (null !== ($key = array_pop($next))) {
            foreach ($this->stands[$key]->legs as $to => $leg) {
                $seconds = $this->most[$key] + $leg->most;
                if (!isset($this->most[$to]) || $seconds > $this->most[$to]) {
                    $this->most[$to] = $seconds;
                    $this->mostFrom[$to] = [$key, $leg->mostBy, $leg->most];
                }
                if (0 === --$into[$to]) {
                    $next[] = $to;
                }
            }
        }
        foreach (array_keys(array_filter($into) + $this->afterRounds()) as $key) {
            $this->rounds[$key] = true;
            $this->most[$key] = $this->least[$key] ?? 0;
            unset($this->mostFrom[$key]);
            isset($this->leastFrom[$key]) && ($this->mostFrom[$key] = $this->leastFrom[$key]);
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
