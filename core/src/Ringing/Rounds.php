<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Outside\Lines;

/** Lets phones of a plan ring. What becomes of it is the same whenever the same phones do the same: that is found out but once. */
final class Rounds
{
    /** So many are remembered; then it is begun anew. */
    private const MOST_PHONES = 20_000;

    /** @var array<string, list<array{Round, RingResult}>> by what phones do in them */
    private array $known = [];
    private int $phones = 0;
    /** @var array{Round, RingResult}|null the very one that rang last */
    private ?array $last = null;

    public function __construct(private readonly Lines $lines) {}

    /** @param int $left seconds after which the caller is gone */
    public function ring(Round $round, int $left): RingResult
    {
        if ($round === ($this->last[0] ?? null) && $left > $this->last[1]->seconds) {
            return $this->last[1];
        }
        $key = $round->key();
        foreach ($this->known[$key] ?? [] as [$one, $result]) {
            if ($left > $result->seconds && $round->isLike($one)) {
                $this->last = [$round, $result];

                return $result;
            }
        }
        $result = (new RingSimulation($round->assumed, $this->lines, $round->rangBefore, $round->inUse))->run(
            $round->members,
            $round->pattern,
            $round->seconds,
            $left,
        );
        if ($left > $result->seconds) {
            $this->keep($key, $round, $result);
        }

        return $result;
    }

    private function keep(string $key, Round $round, RingResult $result): void
    {
        $this->last = [$round, $result];
        $this->phones += $round->phones;
        if ($this->phones > self::MOST_PHONES) {
            [$this->known, $this->phones] = [[], $round->phones];
        }
        $this->known[$key][] = [$round, $result];
    }
}
