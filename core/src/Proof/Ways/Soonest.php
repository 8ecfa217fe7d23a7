<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

/** The shortest way to each place; of those that are as short, one of which least has to be said. */
final readonly class Soonest
{
    /** @var array<string, int> seconds to each place at least, by key */
    public array $seconds;
    /** @var array<string, int> how much has to be said for it, by key */
    public array $said;
    /** @var array<string, array{string, Acts, int}> the place before, the acts from there, and their seconds, by key */
    public array $from;

    /**
     * Dijkstra's way: seconds are never fewer than none.
     *
     * @param array<string, Stand> $stands by key
     * @param string               $start  the key of where calls begin
     */
    public function __construct(array $stands, string $start)
    {
        $open = new \SplPriorityQueue();
        $open->insert($start, [0, 0]);
        [$least, $said] = [[$start => 0], [$start => 0]];
        $from = $done = [];
        while (!$open->isEmpty()) {
            $key = $open->extract();
            if (!\is_string($key) || isset($done[$key])) {
                continue;
            }
            $done[$key] = true;
            foreach ($stands[$key]->legs as $to => $leg) {
                $way = [$least[$key] + $leg->least, $said[$key] + $leg->leastBy->count()];
                if (!isset($least[$to]) || $way < [$least[$to], $said[$to]]) {
                    [$least[$to], $said[$to]] = $way;
                    $from[$to] = [$key, $leg->leastBy, $leg->least];
                    $open->insert($to, [-$way[0], -$way[1]]);
                }
            }
        }
        [$this->seconds, $this->said, $this->from] = [$least, $said, $from];
    }
}
