<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Ringing\RingResult;
use Meandros\Core\Ringing\Rung;

/** The phones that rang in a call. */
final class RungSoFar
{
    /** @var list<array{RingResult, int, int, int}> what rang together, the second at which that first began, how many times, and every how many seconds */
    private array $rounds = [];
    /** As many as rang before all rang as if they had not. */
    private int $anew = 0;
    private int $timesDialled = 0;
    private int $count = 0;
    /** @var list<array{Rung, int}>|null of rounds that were the same, those of the last one, each with the second at which it was dialled */
    private ?array $latest = null;

    /** Goes on after another; what rang is left behind. */
    public function goOnFrom(self $other): void
    {
        $this->timesDialled = $other->timesDialled;
    }

    /** @param int $second since the call began */
    public function add(RingResult $result, int $second): void
    {
        $this->rounds[] = [$result, $second, 0, 0];
        $this->again(1, 0);
    }

    /** What rang last does so many times more, every so many seconds. */
    public function again(int $times, int $every): void
    {
        $place = \count($this->rounds) - 1;
        [$result, $began, $before] = $this->rounds[$place];
        $this->rounds[$place] = [$result, $began, $before + $times, $every];
        $this->timesDialled += $result->dialled ? $times : 0;
        $this->count += $times * \count($result->rung);
        $this->latest = null;
    }

    /**
     * Seconds for which phones rang since they do what they do at a second.
     *
     * @param Assumptions $now what holds at it
     *
     * @return array<string, int> by phone
     */
    public function before(Assumptions $now): array
    {
        $before = $since = [];
        foreach (\array_slice($this->rounds, $this->anew) as $round) {
            foreach ($round[0]->rung as $one) {
                $id = $one->phone->id;
                $since[$id] ??= $now->of($one->phone->names())->from;
                $times = null === $one->times->rings ? 0 : self::times($round, $one, $since[$id]);
                $times > 0 && ($before[$id] = ($before[$id] ?? 0) + $times * $one->times->seconds());
            }
        }

        return $before;
    }

    /** Phones ring as if they had not rung before in this call. */
    public function anew(): void
    {
        $this->anew = \count($this->rounds);
    }

    /** How many times phones were dialled. */
    public function timesDialled(): int
    {
        return $this->timesDialled;
    }

    /** How many there are of all. */
    public function count(): int
    {
        return $this->count;
    }

    /**
     * @param int $second what was dialled sooner is left out
     *
     * @return list<Rung> in seconds since the call began
     */
    public function all(int $second = 0): array
    {
        $rung = [];
        foreach ($this->rounds as [$result, $began, $times, $every]) {
            for ($i = 0; $i < $times; ++$i) {
                foreach ($result->rung as $one) {
                    if ($began + $i * $every + $one->times->from >= $second) {
                        $rung[] = $one->later($began + $i * $every);
                    }
                }
            }
        }

        return $rung;
    }

    /** When a phone was dialled first after a second; null where none was. */
    public function nextAfter(int $second): ?int
    {
        $next = [];
        foreach ($this->rounds as $round) {
            foreach ($round[0]->rung as $one) {
                $times = self::times($round, $one, $second + 1);
                $times > 0 && ($next[] = $round[1] + ($round[2] - $times) * $round[3] + $one->times->from);
            }
        }

        return [] === $next ? null : min($next);
    }

    /**
     * When one phone rang.
     *
     * @param int $second what was dialled sooner is left out
     *
     * @return list<array{Rung, int}> in seconds since the call began: the first time of those that were the same, and how many there were
     */
    public function of(string $phone, int $second): array
    {
        $rung = [];
        foreach ($this->rounds as $round) {
            foreach ($round[0]->rung as $one) {
                $times = $phone === $one->phone->id ? self::times($round, $one, $second) : 0;
                $times > 0 && ($rung[] = [$one->later($round[1] + ($round[2] - $times) * $round[3]), $times]);
            }
        }

        return $rung;
    }

    /** @return list<Rung> those that were added last, in seconds since the call began */
    public function last(): array
    {
        [$result, $began, $times, $every] = $this->rounds[\count($this->rounds) - 1];

        return array_map(static fn(Rung $one): Rung => $one->later($began + ($times - 1) * $every), $result->rung);
    }

    /** @return list<array{Rung, int}> of rounds that were the same, those of the last one, each with the second at which it was dialled */
    public function latest(): array
    {
        if (null === $this->latest) {
            $rounds = [];
            foreach ($this->rounds as $round) {
                $id = spl_object_id($round[0]);
                unset($rounds[$id]);
                $rounds[$id] = $round;
            }
            $this->latest = [];
            foreach ($rounds as [$result, $began, $times, $every]) {
                foreach ($result->rung as $one) {
                    $this->latest[] = [$one, $began + ($times - 1) * $every + $one->times->from];
                }
            }
        }

        return $this->latest;
    }

    /**
     * How many times one of a round was dialled at a second, or later.
     *
     * @param array{RingResult, int, int, int} $round
     */
    private static function times(array $round, Rung $one, int $second): int
    {
        [, $began, $times, $every] = $round;
        $late = $second - $began - $one->times->from;

        return match (true) {
            $late <= 0 => $times,
            0 === $every => 0,
            default => max(0, $times - intdiv($late + $every - 1, $every)),
        };
    }
}
