<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Ringing\RingResult;
use Meandros\Core\Ringing\Rung;

/** The phones that rang in a call. */
final class RungSoFar
{
    /** @var list<array{RingResult, int}> what rang together, and the second at which that began */
    private array $rounds = [];
    /** @var array<int, list<Rung>> the phones of rounds by the call's own seconds, by place, as far as they were asked for */
    private array $rung = [];
    /** As many as rang before all rang as if they had not. */
    private int $anew = 0;
    private int $timesDialled = 0;
    private int $count = 0;
    /** @var list<Rung>|null of rounds that were the same, those of the last one */
    private ?array $latest = null;

    /** Goes on after another; what rang is left behind. */
    public function goOnFrom(self $other): void
    {
        $this->timesDialled = $other->timesDialled;
    }

    /** @param int $second since the call began */
    public function add(RingResult $result, int $second): void
    {
        $this->timesDialled += $result->dialled ? 1 : 0;
        $this->count += \count($result->rung);
        $this->rounds[] = [$result, $second];
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
        foreach (\array_slice($this->rounds, $this->anew) as [$result, $began]) {
            foreach ($result->rung as $one) {
                $id = $one->phone->id;
                if (
                    null !== $one->times->rings &&
                    $began + $one->times->from >= ($since[$id] ??= $now->of($one->phone->names())->from)
                ) {
                    $before[$id] = ($before[$id] ?? 0) + $one->times->seconds();
                }
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
        return $this->of(array_keys($this->rounds), $second);
    }

    /** @return list<Rung> those that were added last */
    public function last(): array
    {
        return $this->ofRound(\count($this->rounds) - 1);
    }

    /** @return list<Rung> of rounds that were the same, those of the last one */
    public function latest(): array
    {
        if (null === $this->latest) {
            $latest = [];
            foreach ($this->rounds as $place => [$result]) {
                $id = spl_object_id($result);
                unset($latest[$id]);
                $latest[$id] = $place;
            }
            $this->latest = $this->of(array_values($latest));
        }

        return $this->latest;
    }

    /**
     * @param list<int> $places of rounds
     *
     * @return list<Rung>
     */
    private function of(array $places, int $second = 0): array
    {
        $rung = [];
        foreach ($places as $place) {
            foreach ($this->ofRound($place) as $one) {
                if ($one->times->from >= $second) {
                    $rung[] = $one;
                }
            }
        }

        return $rung;
    }

    /** @return list<Rung> in seconds since the call began */
    private function ofRound(int $place): array
    {
        [$result, $began] = $this->rounds[$place] ?? [null, 0];

        return $this->rung[$place] ??=
            0 === $began || null === $result
                ? $result->rung ?? []
                : array_map(static fn(Rung $one): Rung => $one->later($began), $result->rung);
    }
}
