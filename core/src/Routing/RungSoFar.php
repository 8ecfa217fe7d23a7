<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Ringing\Rung;

/** The phones that rang in a call. */
final class RungSoFar
{
    /** @var list<Rung> */
    private array $all = [];
    /** @var array<string, int> seconds for which phones rang, by phone */
    private array $seconds = [];
    /** As many as rang before all rang as if they had not. */
    private int $anew = 0;
    private int $timesDialled = 0;

    public function __construct(private readonly Assumptions $assumptions) {}

    /** Goes on after another; what rang is left behind. */
    public function goOnFrom(self $other): void
    {
        $this->timesDialled = $other->timesDialled;
    }

    /**
     * @param list<Rung> $rung    in seconds since the call began
     * @param bool       $dialled whether any phone was dialled
     */
    public function add(array $rung, bool $dialled): void
    {
        $this->timesDialled += $dialled ? 1 : 0;
        array_push($this->all, ...$rung);
        foreach ($rung as $one) {
            if (null !== $one->times->rings) {
                $this->seconds[$one->phone->id] = ($this->seconds[$one->phone->id] ?? 0) + $one->times->seconds();
            }
        }
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
        if ($now === $this->assumptions) {
            return $this->seconds;
        }
        $before = [];
        foreach (\array_slice($this->all, $this->anew) as $one) {
            if (null !== $one->times->rings && $one->times->from >= $now->of($one->phone->names())->from) {
                $before[$one->phone->id] = ($before[$one->phone->id] ?? 0) + $one->times->seconds();
            }
        }

        return $before;
    }

    /** Phones ring as if they had not rung before in this call. */
    public function anew(): void
    {
        [$this->seconds, $this->anew] = [[], \count($this->all)];
    }

    /** How many times phones were dialled. */
    public function timesDialled(): int
    {
        return $this->timesDialled;
    }

    /** @return list<Rung> */
    public function all(): array
    {
        return $this->all;
    }
}
