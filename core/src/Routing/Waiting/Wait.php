<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Waiting;

use Meandros\Core\Call\Urgency;
use Meandros\Core\Call\WaitingCaller;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Step\QueueStep;
use Meandros\Core\Queueing\Dispatcher;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\CallbackTaken;
use Meandros\Core\Routing\Happening\LeftByKey;
use Meandros\Core\Routing\Happening\MusicBegins;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\Said;
use Meandros\Core\Routing\Happening\WaitedInVain;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\PlaceKept;
use Meandros\Core\Routing\TimeUp;
use Meandros\Core\Routing\Waits;
use Meandros\Core\Routing\Walk;

/** One caller's wait in a queue: let in or not, the introduction, what is heard meanwhile, agents who are asked, and how it is over. */
final class Wait
{
    private readonly Urgency $urgency;
    private readonly Dispatcher $dispatcher;
    private readonly Agents $agents;
    private readonly WaitingCaller $caller;
    private readonly ?CallbackRoute $callback;
    private readonly int $start;
    private readonly int $ends;
    /** The second at which the introduction is over. */
    private int $began;

    public function __construct(private readonly Queue $queue, private readonly Walk $walk)
    {
        $this->start = $this->began = $walk->second();
        $this->ends = $this->start + $queue->callers->waiting->longestSeconds;
        $this->caller = $walk->assumptions->circumstances->queues[$queue->id()]->caller ?? new WaitingCaller();
        $this->urgency = $walk->arrival()->urgency;
        $this->dispatcher = $walk->roster->dispatcher($queue, $this->urgency);
        $this->agents = new Agents($queue, $walk, $this->dispatcher);
        $this->callback = CallbackRoute::of($queue, $walk);
    }

    /**
     * @throws CallOver
     * @throws TimeUp
     */
    public function take(): Onward
    {
        $exit = $this->whyNotLetIn();
        $admission = $this->queue->callers->admission;
        $this->walk->note(
            new QueueEntered(
                $this->queue->id(),
                $exit,
                $this->dispatcher->ahead($this->start),
                \count($this->dispatcher->signedIn()),
                $this->dispatcher->expected($this->start),
                $admission->handlingSeconds,
            ),
        );
        if (null !== $exit) {
            return Onward::by($exit);
        }
        $this->walk->waits(
            fn(int $second): Waits => new Waits(
                $this->dispatcher->ahead($second) + 1,
                $this->dispatcher->expected($second),
            ),
        );
        try {
            return $this->waitOn();
        } finally {
            $this->walk->waits(null);
        }
    }

    /**
     * @throws CallOver
     * @throws TimeUp
     */
    private function waitOn(): Onward
    {
        $this->introduce();
        $meanwhile = new Meanwhile(
            $this->queue,
            $this->walk,
            $this->dispatcher,
            new WaitTimes($this->start, $this->began, $this->ends, $this->offered()),
        );
        while ($this->walk->second() < $this->until()) {
            $ending = $this->agents->ask($this->walk->second() - $this->start, $this->until(), $meanwhile->pass(...));
            if (null !== $ending) {
                return Onward::end($ending);
            }
        }

        return $this->over();
    }

    private function over(): Onward
    {
        $now = $this->walk->second();
        $waited = $now - $this->start;
        if (
            null !== $this->callback &&
            ($now < $this->ends ? $now === $this->keeps() : $this->callback->offer->atTheEnd)
        ) {
            return $this->keepThePlace($this->callback);
        }
        if ($now < $this->ends) {
            $this->walk->note(
                new LeftByKey($this->queue->id(), (string) $this->queue->callers->waiting->leaveKey, $waited),
            );

            return Onward::by(QueueStep::KEY);
        }
        $this->walk->note(new WaitedInVain($this->queue->id(), $waited, $this->dispatcher->ahead($now)));

        return Onward::by(QueueStep::WAITED);
    }

    /** The caller is told who will be called back, and hangs up; what the exit lists is heard before that. */
    private function keepThePlace(CallbackRoute $route): Onward
    {
        $now = $this->walk->second();
        $this->walk->note(
            new CallbackTaken(
                $this->queue->id(),
                $route->number,
                $now < $this->ends ? $route->offer->key : null,
                $now - $this->start,
                $this->dispatcher->ahead($now),
            ),
        );
        $confirm = $this->walk->plan->get(Prompt::class, $route->offer->confirm);
        if (null !== $confirm) {
            $heard = $this->walk->hear($confirm);
            $this->walk->listen($heard);
            $this->walk->note(Said::all($heard, $this->walk->arrival()->language), $now);
        }
        [$queue, $start, $urgency] = [$this->queue, $this->start, $this->urgency];
        $callBack = static fn(Walk $walk): \Closure => (new Callback(
            $queue,
            $walk,
            new Agents($queue, $walk, $walk->roster->dispatcher($queue, $urgency)),
            $start,
            $route,
        ))->run(...);
        $this->walk->keepsPlace(new PlaceKept($queue->id(), $start, $this->walk->second(), $callBack));

        return Onward::by(QueueStep::CALLBACK, new Ending(EndingKind::CallbackKept, $this->queue->id()));
    }

    /** The second at which the wait is over: the longest one, or when the caller presses a key that ends it. */
    private function until(): int
    {
        return min($this->ends, $this->leaves() ?? $this->ends, $this->keeps() ?? $this->ends);
    }

    private function leaves(): ?int
    {
        return null === $this->queue->callers->waiting->leaveKey || null === $this->caller->leaves
            ? null
            : max($this->began, $this->start + $this->caller->leaves);
    }

    /** Keys that keep the place count from the offer on. */
    private function keeps(): ?int
    {
        $offered = $this->offered();

        return null === $offered || null === $this->caller->keeps
            ? null
            : max($offered, $this->start + $this->caller->keeps);
    }

    /** The second at which the offer to call back is heard. */
    private function offered(): ?int
    {
        return null === $this->callback?->offer->key
            ? null
            : max($this->began, $this->start + $this->callback->offer->afterSeconds);
    }

    private function whyNotLetIn(): ?string
    {
        $admission = $this->queue->callers->admission;
        $expected = $this->dispatcher->expected($this->start);

        return match (true) {
            $admission->needsAgent && [] === $this->dispatcher->signedIn() => QueueStep::NO_AGENTS,
            $admission->needsAgent && !$this->agents->anyReachable() => QueueStep::UNREACHABLE,
            null !== $admission->mostWaiting && $this->dispatcher->ahead($this->start) >= $admission->mostWaiting
                => QueueStep::FULL,
            null !== $admission->mostExpectedSeconds && ($expected ?? \PHP_INT_MAX) > $admission->mostExpectedSeconds
                => QueueStep::TOO_LONG,
            default => null,
        };
    }

    private function introduce(): void
    {
        $music = $this->queue->callers->music;
        if ([] !== $music->pieces || $this->queue->callers->waiting->announces()) {
            $this->walk->clock->answer();
        }
        $recording = $this->queue->callers->recording;
        foreach ([$recording->on ? $recording->notice : null, $this->queue->callers->waiting->introduction] as $id) {
            $prompt = $this->walk->plan->get(Prompt::class, $id);
            if (null !== $prompt) {
                $from = $this->walk->second();
                $heard = $this->walk->hear($prompt);
                $this->walk->listen($heard);
                $this->walk->note(Said::all($heard, $this->walk->arrival()->language), $from);
            }
        }
        $this->began = $this->walk->second();
        if ([] !== $music->pieces) {
            $this->walk->note(MusicBegins::of($music, $this->walk->assumptions->earlier->seed));
        }
    }
}
