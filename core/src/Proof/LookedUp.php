<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Routing\Lookup\Lookup;
use Meandros\Core\Time\Stretches;

/** What calls find in a lookup over a stretch, and when. */
final class LookedUp
{
    private const MOST_CHANGES = 20_000;

    /** @var array<string, non-empty-list<array{int, int, string}>> by lookup */
    private array $known = [];
    /** @var \WeakMap<Lookup, array{list<int>, non-empty-list<array{int, int, string}>}> the same, and where they begin, of lookups that were asked for */
    private \WeakMap $asked;

    /**
     * @param int $from  first instant of the stretch
     * @param int $until first instant after it
     */
    public function __construct(
        private readonly PlanHours $hours,
        public readonly int $from,
        public readonly int $until,
    ) {
        $this->asked = new \WeakMap();
    }

    /** @return non-empty-list<array{int, int, string}> in order and without gaps: instants at which calls come in that find the same, and what they find */
    public function in(Lookup $lookup): array
    {
        return $this->known[serialize($lookup)] ??= $this->cut($lookup);
    }

    /** @return iterable<array{int, int, string}> the same between two instants within the stretch */
    public function between(int $since, int $until, Lookup $lookup): iterable
    {
        if (!isset($this->asked[$lookup])) {
            $in = $this->in($lookup);
            $this->asked[$lookup] = [array_column($in, 0), $in];
        }
        [$starts, $stretches] = $this->asked[$lookup];
        for ($i = Stretches::search($starts, $since); isset($stretches[$i]) && $stretches[$i][0] < $until; ++$i) {
            yield [max($since, $stretches[$i][0]), min($until, $stretches[$i][1]), $stretches[$i][2]];
        }
    }

    /** @return non-empty-list<array{int, int, string}> */
    private function cut(Lookup $lookup): array
    {
        $stretches = [];
        $instant = $this->from;
        do {
            $found = $lookup->at($instant, $this->hours);
            $ends =
                \count($stretches) < self::MOST_CHANGES
                    ? min($found->until ?? $this->until, $this->until)
                    : $this->until;
            $stretches[] = [$instant, $ends, $found->answer];
            $instant = $ends;
        } while ($instant < $this->until);

        return $stretches;
    }
}
