<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

/**
 * Places at which it is known what phones did in the very second in which calls come there. Beside each stands the same place at
 * which nothing is known of that: phones may have done just this, so that whatever calls come to from the first they come to from
 * there as well. It need not be followed where every step that leads to it leads there too, for as long, and calls come there as soon.
 */
final class Covered
{
    /** @var array<string, string> the key of the same place at which nothing is known, by the key of the place */
    private array $beside = [];

    public function add(Stand $stand): void
    {
        $this->beside[$stand->key] = $stand->beside;
    }

    /**
     * @param array<string, Stand> $stands  by key
     * @param Soonest              $soonest to each of them
     * @param bool                 $isAll   whether all was tried at those that were followed; else it may be at these
     *
     * @return list<string> keys of places that have to be followed all the same; they are not told again
     */
    public function open(array $stands, Soonest $soonest, bool $isAll): array
    {
        if ([] === $this->beside || !$isAll) {
            [$open, $this->beside] = [$this->beside, []];

            return array_keys($open);
        }
        $seconds = $soonest->seconds;
        $isSooner = static fn(string $there, string $key): bool => !isset($seconds[$there]) ||
            $seconds[$there] > $seconds[$key];
        $open = array_filter($this->beside, $isSooner, \ARRAY_FILTER_USE_BOTH);
        foreach ($stands as $stand) {
            foreach (array_intersect_key($this->beside, $stand->legs) as $key => $there) {
                $stand->leadsAsLong($there, $key) || ($open[$key] = $there);
            }
        }
        $this->beside = array_diff_key($this->beside, $open);

        return array_keys($open);
    }
}
