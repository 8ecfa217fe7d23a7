<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Waiting;

use Meandros\Core\Call\WaitingCaller;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\QueueCallback;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\CallbackClosed;
use Meandros\Core\Routing\Happening\CallbackTried;
use Meandros\Core\Routing\Walk;
use Meandros\Core\Time\Reading;

/** Somebody has hung up and keeps their place: when it is their turn an agent is asked, and calls them back. */
final readonly class Callback
{
    private QueueCallback $callback;
    private WaitingCaller $caller;

    /** @param int $start second at which the wait began */
    public function __construct(
        private Queue $queue,
        private Walk $walk,
        private Agents $agents,
        private int $start,
        private CallbackRoute $route,
    ) {
        $this->callback = $queue->callers->callsBack();
        $this->caller = $walk->assumptions->circumstances->queues[$queue->id()]->caller ?? new WaitingCaller();
    }

    /** @throws CallOver */
    public function run(): Ending
    {
        $tries = $this->callback->calls;
        for ($try = 1; $try <= $tries->tries; ++$try) {
            $this->walk->rung->anew();
            $agent = $this->askAgents();
            if (EndingKind::Answered !== $agent->kind || $this->call($try)) {
                return $agent;
            }
            if ($try < $tries->tries) {
                $this->walk->pass($tries->pauseSeconds);
            }
        }

        return new Ending(EndingKind::CallbackInVain, $this->queue->id());
    }

    /**
     * Waits for the turn, and for an agent who takes it, as long as the place is kept and callers may be called back.
     *
     * @throws CallOver
     */
    private function askAgents(): Ending
    {
        $kept = $this->start + 60 * $this->callback->window->keptMinutes;
        while ($this->walk->second() < $kept) {
            $hours = $this->walk->plan->get(Hours::class, $this->callback->window->hours);
            $reading = null === $hours ? null : $this->walk->read($hours);
            if (null !== $hours && null !== $reading && true !== $hours->states->find($reading->state)?->open) {
                return $this->closed($hours, $reading);
            }
            $closes = null === $reading?->until ? $kept : $reading->until - $this->walk->call->instant;
            $ending = $this->agents->ask(
                $this->walk->second() - $this->start,
                min($kept, $closes),
                fn(int $until) => $this->walk->pass($until - $this->walk->second()),
            );
            if (null !== $ending) {
                // It was still open then; had it closed before, it would have gone otherwise.
                null === $hours || $this->walk->read($hours);

                return $ending;
            }
        }

        return new Ending(EndingKind::CallbackInVain, $this->queue->id());
    }

    private function closed(Hours $hours, Reading $reading): Ending
    {
        $overnight = $this->callback->window->overnight;
        $this->walk->note(
            new CallbackClosed($this->queue->id(), $hours->id(), $reading, $this->walk->zoneOf($hours), $overnight),
        );

        return new Ending($overnight ? EndingKind::CallbackKept : EndingKind::CallbackInVain, $this->queue->id());
    }

    /**
     * Whether the caller takes the call.
     *
     * @throws CallOver
     */
    private function call(int $try): bool
    {
        $tries = $this->callback->calls;
        $takes =
            $try >= $this->caller->onTry &&
            null !== $this->caller->picksUp &&
            $this->caller->picksUp < $tries->ringSeconds;
        $seconds = $takes ? (int) $this->caller->picksUp : $tries->ringSeconds;
        $this->walk->note(new CallbackTried($this->route, $try, $tries->tries, $seconds, $takes));
        $this->walk->pass($seconds);

        return $takes;
    }
}
