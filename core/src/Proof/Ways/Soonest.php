<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

/** The shortest way to each place. */
final readonly class Soonest
{
    /** @var array<string, int> seconds to each place at least, by key */
    public array $seconds;
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
        $open->insert($start, 0);
        $least = [$start => 0];
        $from = $done = [];
        while (!$open->isEmpty()) {
            $key = $open->extract();
            if (!\is_string($key) || isset($done[$key])) {
                continue;
            }
            $done[$key] = true;
            foreach ($stands[$key]->legs as $to => $leg) {
                $seconds = $least[$key] + $leg->least;
                if (!isset($least[$to]) || $seconds < $least[$to]) {
                    $least[$to] = $seconds;
                    $from[$to] = [$key, $leg->leastBy, $leg->least];
                    $open->insert($to, -$seconds);
                }
            }
        }
        [$this->seconds, $this->from] = [$least, $from];
    }
}
