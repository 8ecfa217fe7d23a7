<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Waiting;

use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Queueing\Dispatcher;
use Meandros\Core\Routing\Happening\CallbackOffered;
use Meandros\Core\Routing\Happening\NoticeSent;
use Meandros\Core\Routing\Happening\PlaceTold;
use Meandros\Core\Routing\Walk;

/** What whoever waits hears, and who is told of it, each at its second: announcements, the offer to call back, the notice. */
final class Meanwhile
{
    /** @var array<int, list<\Closure(int): void>> what happens once, by its second, in order */
    private array $once = [];

    public function __construct(
        private readonly Queue $queue,
        private readonly Walk $walk,
        private readonly Dispatcher $dispatcher,
        private readonly WaitTimes $times,
    ) {
        $callback = $queue->callers->callback?->offer;
        if (null !== $times->offer && null !== $callback?->key) {
            $this->once[$times->offer][] = static fn(int $second) => $walk->note(
                new CallbackOffered($queue->id(), $callback->key, $callback->prompt),
                $second,
            );
        }
        $notice = $queue->callers->promise->noticeSeconds;
        if (null !== $notice && [] !== $queue->callers->promise->notify) {
            $this->once[$times->start + $notice][] = static fn(int $second) => $walk->note(
                new NoticeSent($queue->id(), $notice, $queue->callers->promise->notify),
                $second,
            );
        }
        ksort($this->once);
        // What was due while the introduction was heard comes now, at its own second.
        $this->doOnce($times->began - 1);
    }

    /** The caller waits until a second. */
    public function pass(int $until): void
    {
        while (null !== ($next = $this->next($until))) {
            $this->walk->pass($next - $this->walk->second());
            if ($next === $this->announcement($next)) {
                $this->announce($next);
            }
            $this->doOnce($next);
        }
        $this->walk->pass($until - $this->walk->second());
    }

    /** The next second, up to this one, at which something happens; what was done is over. */
    private function next(int $until): ?int
    {
        $announcement = $this->announcement($this->walk->second() + 1);
        $once = array_key_first($this->once);
        $next = min($announcement ?? \PHP_INT_MAX, $once ?? \PHP_INT_MAX);

        return $next <= $until && $next < $this->times->ends ? $next : null;
    }

    /** The first announcement from a second on. */
    private function announcement(int $from): ?int
    {
        $every = $this->queue->callers->waiting->announceSeconds;

        return $this->queue->callers->waiting->announces()
            ? $this->times->began + max(1, intdiv($from - $this->times->began + $every - 1, $every)) * $every
            : null;
    }

    private function announce(int $second): void
    {
        $waiting = $this->queue->callers->waiting;
        $ahead = $this->dispatcher->ahead($second);
        $this->walk->note(
            new PlaceTold(
                $this->queue->id(),
                $waiting->tellsPosition ? $ahead + 1 : null,
                $waiting->tellsWait ? $this->dispatcher->expected($second) : null,
                $this->walk->arrival()->language,
            ),
        );
    }

    private function doOnce(int $until): void
    {
        foreach ($this->once as $second => $things) {
            if ($second > $until) {
                break;
            }
            unset($this->once[$second]);
            foreach ($things as $do) {
                $do($second);
            }
        }
    }
}
