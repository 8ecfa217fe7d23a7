<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Proof\StepOutlook;
use Meandros\Core\Routing\Ending;

/** What can become of calls from each step on: of every place at which they stand before it, what the places behind it come to. */
final class Outlook
{
    /** @var array<string, array<string, Ending>> by place: endings by their names */
    private array $endings = [];
    /** @var array<string, int|null> by place: seconds to the end at most; null where ways go round */
    private array $most = [];

    /** @param array<string, Stand> $stands by key */
    public function __construct(private readonly array $stands)
    {
        $this->spread();
        $this->longest();
    }

    /** @return list<StepOutlook> of each step to which calls come, in the order in which they come there */
    public function steps(): array
    {
        $steps = [];
        foreach ($this->stands as $key => $stand) {
            $at = $stand->way->place();
            if (null === $at) {
                continue;
            }
            $name = implode(' ', $at);
            $known = $steps[$name] ?? null;
            $most = $this->most[$key] ?? null;
            $steps[$name] = new StepOutlook(
                $at[0],
                $at[1],
                $this->endings[$key] + ($known->endings ?? []),
                null === $most || (null !== $known && null === $known->most) ? null : max($most, $known->most ?? 0),
            );
        }

        return array_values($steps);
    }

    /** Against the direction of calls, until nothing is added any more: ways may go round. */
    private function spread(): void
    {
        $before = [];
        foreach ($this->stands as $key => $stand) {
            $this->endings[$key] = array_map(static fn(array $end): Ending => $end[0], $stand->ends);
            foreach (array_keys($stand->legs) as $to) {
                $before[$to][] = $key;
            }
        }
        $changed = array_keys($this->stands);
        while (null !== ($key = array_pop($changed))) {
            foreach ($before[$key] ?? [] as $from) {
                $all = $this->endings[$from] + $this->endings[$key];
                if (\count($all) > \count($this->endings[$from])) {
                    $this->endings[$from] = $all;
                    $changed[] = $from;
                }
            }
        }
    }

    /** Places from which no way goes round: each once all that it leads to are known. */
    private function longest(): void
    {
        $open = $before = [];
        foreach ($this->stands as $key => $stand) {
            $open[$key] = \count($stand->legs);
            foreach (array_keys($stand->legs) as $to) {
                $before[$to][] = $key;
            }
        }
        $ready = array_keys(
            array_filter(
                $open,
                fn(int $count, string $key): bool => 0 === $count && [] === $this->stands[$key]->afterRounds,
                \ARRAY_FILTER_USE_BOTH,
            ),
        );
        while (null !== ($key = array_pop($ready))) {
            $stand = $this->stands[$key];
            $most = 0;
            foreach ($stand->ends as [, $leg]) {
                $most = max($most, $leg->most);
            }
            foreach ($stand->legs as $to => $leg) {
                $most = max($most, $leg->most + ($this->most[$to] ?? 0));
            }
            $this->most[$key] = $most;
            foreach ($before[$key] ?? [] as $from) {
                if (0 === --$open[$from] && [] === $this->stands[$from]->afterRounds) {
                    $ready[] = $from;
                }
            }
        }
    }
}
