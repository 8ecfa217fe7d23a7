<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Routing\Happening\WaitedInVain;

/** Callers may wait longer in queues, one after the other, than the settings of the plan call long. */
final class WaitsTooLong implements CallCheck
{
    /** @var array<string, array{int, string}> the most seconds and the number, by the last queue */
    private array $waits = [];

    public function see(Seen $seen, Fares $fares): void
    {
        $seconds = 0;
        $queue = null;
        foreach ($seen->course->trace->passage->events as $event) {
            if ($event->happening instanceof WaitedInVain) {
                $queue = $event->happening->queue;
                $seconds += $event->happening->seconds;
            }
        }
        if (null !== $queue && $seconds > ($this->waits[$queue][0] ?? 0)) {
            $this->waits[$queue] = [$seconds, $seen->number->name()];
        }
    }

    public function add(CallCheck $one, array $numbers): void
    {
        \assert($one instanceof self);
        foreach ($one->waits as $queue => $wait) {
            if ($wait[0] > ($this->waits[$queue][0] ?? 0)) {
                $this->waits[$queue] = $wait;
            }
        }
    }

    public function found(Fares $fares): iterable
    {
        $longest = $fares->plan->settings()->longestWait;
        foreach ($this->waits as $id => [$seconds, $number]) {
            $queue = $fares->plan->get(Queue::class, $id);
            if (null !== $queue && $seconds > $longest) {
                yield Finding::warning($queue, '/waiting/longestSeconds', 'waits-too-long', [
                    'number' => $number,
                    'seconds' => $seconds,
                    'longest' => $longest,
                ]);
            }
        }
    }
}
