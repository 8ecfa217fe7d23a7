<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Waiting;

use Meandros\Core\Call\QueueState;
use Meandros\Core\Plan\Element\AgentOrder;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Step\QueueStep;
use Meandros\Core\Plan\Target;
use Meandros\Core\Queueing\Dispatcher;
use Meandros\Core\Routing\Answering\Members;
use Meandros\Core\Routing\Answering\Ringer;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Happening\LeftByKey;
use Meandros\Core\Routing\Happening\PlaceTold;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\Said;
use Meandros\Core\Routing\Happening\WaitedInVain;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\TimeUp;
use Meandros\Core\Routing\Walk;

/** One caller's wait in a queue: let in or not, the introduction, announcements, agents who are asked, the longest wait. */
final class Wait
{
    /** Of agents who are asked in vain, only so many are told one by one; all of them are drawn as bars. */
    private const MOST_TOLD = 40;

    private readonly Dispatcher $dispatcher;
    private readonly QueueState $state;
    private readonly int $start;
    private readonly int $ends;
    private int $told = 0;
    /** The second from which on announcements are counted. */
    private int $began;

    public function __construct(private readonly Queue $queue, private readonly Walk $walk)
    {
        $this->start = $this->began = $walk->second();
        $this->ends = $this->start + $queue->waiting->longestSeconds;
        $this->state = $walk->assumptions->queues[$queue->id()] ?? new QueueState();
        $this->dispatcher = Dispatcher::of($queue, $this->state, $walk->assumptions->earlier->seed, $walk->signInsOf($queue->id()));
    }

    /**
     * @throws CallOver
     * @throws TimeUp
     */
    public function take(): Onward
    {
        $exit = $this->whyNotLetIn();
        $admission = $this->queue->admission;
        $this->walk->note(new QueueEntered($this->queue->id(), $exit, $this->dispatcher->ahead($this->start), $this->dispatcher->signedIn(), $this->dispatcher->expected($this->start), $admission->handlingSeconds));
        if (null !== $exit) {
            return Onward::by($exit);
        }
        $this->introduce();
        while ($this->walk->second() < $this->until()) {
            $onward = $this->ask();
            if (null !== $onward) {
                return $onward;
            }
        }
        if ($this->walk->second() < $this->ends) {
            $this->walk->note(new LeftByKey($this->queue->id(), (string) $this->queue->waiting->leaveKey, $this->walk->second() - $this->start));

            return Onward::by(QueueStep::KEY);
        }
        $this->walk->note(new WaitedInVain($this->queue->id(), $this->walk->second() - $this->start, $this->dispatcher->ahead($this->walk->second())));

        return Onward::by(QueueStep::WAITED);
    }

    /** The second at which the wait is over: the longest one, or when the caller presses the key that leaves. */
    private function until(): int
    {
        $leaves = null === $this->queue->waiting->leaveKey ? null : $this->state->leaves;

        return null === $leaves ? $this->ends : min($this->ends, max($this->began, $this->start + $leaves));
    }

    private function whyNotLetIn(): ?string
    {
        $admission = $this->queue->admission;
        $expected = $this->dispatcher->expected($this->start);

        return match (true) {
            $admission->needsAgent && 0 === $this->dispatcher->signedIn() => QueueStep::NO_AGENTS,
            null !== $admission->mostWaiting && $this->dispatcher->ahead($this->start) >= $admission->mostWaiting => QueueStep::FULL,
            null !== $admission->mostExpectedSeconds && ($expected ?? \PHP_INT_MAX) > $admission->mostExpectedSeconds => QueueStep::TOO_LONG,
            default => null,
        };
    }

    private function introduce(): void
    {
        $waiting = $this->queue->waiting;
        if (null !== $waiting->music || $waiting->announces()) {
            $this->walk->answer();
        }
        $prompt = $this->walk->plan->get(Prompt::class, $waiting->introduction);
        if (null !== $prompt) {
            $heard = $this->walk->hear($prompt);
            $this->walk->listen($heard);
            $this->walk->note(Said::all($heard, $this->walk->arrival()->language), $this->start);
        }
        $this->began = $this->walk->second();
    }

    /** Asks whoever is free, or lets time pass until that can change. Null where the caller waits on. */
    private function ask(): ?Onward
    {
        $now = $this->walk->second();
        $waited = $now - $this->start;
        $agents = $this->dispatcher->candidates($now, $waited);
        if ([] === $agents) {
            $this->wait(min($this->until(), $this->dispatcher->next($now, $waited) ?? $this->ends));

            return null;
        }
        $asked = AgentOrder::AllAtOnce === $this->queue->asking->order ? $agents : [$agents[0]];
        $members = [];
        foreach ($asked as $agent) {
            $person = $this->walk->plan->get(Person::class, $agent->who);
            null === $person || $members[] = (new Members($this->walk))->agent($person);
        }
        $turn = new Turn($this->queue->asking->order, \count($agents), $asked[0]->tier, $this->dispatcher->figure($asked[0], $now));
        $whom = Target::element(1 === \count($asked) ? $asked[0]->who : $this->queue->id());
        $onward = (new Ringer($this->walk))->alert($whom, $members, min($this->queue->asking->alertSeconds, $this->until() - $now), ++$this->told <= self::MOST_TOLD ? $turn : null, fn (int $seconds) => $this->wait($now + $seconds));
        if (null !== $onward->ending) {
            return $onward;
        }
        foreach ($asked as $agent) {
            $this->dispatcher->miss($agent, $this->walk->second());
        }

        return null;
    }

    /** The caller waits until a second, and hears what is announced meanwhile. */
    private function wait(int $until): void
    {
        $waiting = $this->queue->waiting;
        while ($waiting->announces()) {
            $next = $this->began + (intdiv($this->walk->second() - $this->began, $waiting->announceSeconds) + 1) * $waiting->announceSeconds;
            if ($next > $until || $next >= $this->ends) {
                break;
            }
            $this->walk->pass($next - $this->walk->second());
            $ahead = $this->dispatcher->ahead($next);
            $this->walk->note(new PlaceTold($this->queue->id(), $waiting->tellsPosition ? $ahead + 1 : null, $waiting->tellsWait ? $this->dispatcher->expected($next) : null));
        }
        $this->walk->pass($until - $this->walk->second());
    }
}
