<?php

declare(strict_types=1);

namespace Meandros\Core\Queueing;

use Meandros\Core\Plan\Element\AgentOrder;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Ringing\ByFigure;
use Meandros\Core\Ringing\Order;
use Meandros\Core\Ringing\RingMember;
use Meandros\Core\Ringing\Rotating;
use Meandros\Core\Ringing\Shuffled;
use Meandros\Core\Ringing\TeamOrder;

/**
 * The agents of a queue and the callers ahead, second by second: who is free, who has joined, who is asked first. Callers
 * ahead are taken in the second in which an agent is free for them, and hold that agent for the queue's mean handling time.
 */
final class Dispatcher
{
    private const WAITED_LONG = \PHP_INT_MAX;

    private ?string $askedLast = null;
    private int $asked = 0;
    /** @var array<string, RingMember> agents as the orders of teams know them */
    private array $members = [];

    /**
     * @param list<Agent> $agents in the queue's order, those who are on
     * @param list<self>  $before queues with callers whose turn comes before ours where an agent is in both, as they stand now
     */
    public function __construct(
        private readonly Queue $queue,
        private readonly array $agents,
        private int $ahead,
        private readonly int $seed = 1,
        private readonly array $before = [],
    ) {}

    public function ahead(int $second): int
    {
        $this->advance($second);

        return $this->ahead;
    }

    /** @return list<Agent> */
    public function signedIn(): array
    {
        return array_values(array_filter($this->agents, static fn(Agent $agent): bool => $agent->signedIn));
    }

    /**
     * How long somebody is likely to wait who is behind those ahead: (callers ahead + 1) × mean handling time ÷ agents signed
     * in, in whole seconds upwards; nothing where an agent is free and nobody is ahead.
     *
     * @return int|null null where nobody is signed in
     */
    public function expected(int $second): ?int
    {
        $this->advance($second);
        $signedIn = \count($this->signedIn());
        if (0 === $this->ahead && ($this->soonest() ?? \PHP_INT_MAX) <= $second) {
            return 0;
        }

        return 0 === $signedIn
            ? null
            : (int) ceil((($this->ahead + 1) * $this->queue->callers->admission->handlingSeconds) / $signedIn);
    }

    /**
     * Who may be asked for the caller whose turn it is: whoever is asked first, then the others.
     *
     * @param int $waited seconds
     *
     * @return list<Agent> none while others are ahead
     */
    public function candidates(int $second, int $waited): array
    {
        return $this->ahead($second) > 0 ? [] : $this->choose($second, $waited);
    }

    /** What the order looks at of an agent: seconds idle, calls or seconds of talking today. */
    public function figure(Agent $agent, int $second): int
    {
        return match ($this->queue->agents->asking->order) {
            AgentOrder::FewestCalls => $agent->now->calls,
            AgentOrder::LeastTalk => $agent->now->talk,
            default => max(0, $second - $agent->now->idleSince),
        };
    }

    /** @return int|null the next second at which who may be asked can be others; null where nothing will change */
    public function next(int $second, int $waited): ?int
    {
        $next = null;
        $start = $second - $waited;
        $widens = $this->queue->agents->asking->widenSeconds;
        foreach ($this->agents as $agent) {
            foreach ([$agent->freeAt(), $start + ($agent->tier - 1) * $widens] as $then) {
                if (null !== $then && $then > $second) {
                    $next = min($next ?? $then, $then);
                }
            }
        }

        return $next;
    }

    /** An agent takes a call of so many seconds. */
    public function take(Agent $agent, int $second, int $handling): void
    {
        $this->asked($agent);
        $agent->now->take($second, $handling, $this->queue->agents->asking->notesSeconds, $agent->atOnce);
    }

    /**
     * An agent was asked, and did not take the call.
     *
     * @return int|null calls missed one after the other, where they are signed out for it
     */
    public function miss(Agent $agent, int $second): ?int
    {
        $this->asked($agent);
        $missed = $agent->now->miss($second, $this->queue->agents->asking->missedSeconds);
        if ($missed < ($this->queue->agents->duty->signOutAfter ?? \PHP_INT_MAX)) {
            return null;
        }
        $agent->signedIn = false;

        return $missed;
    }

    private function asked(Agent $agent): void
    {
        ++$this->asked;
        $this->askedLast = $agent->who;
    }

    /** Those ahead are taken as agents become free, up to this second: here, and in queues whose callers come before ours. */
    private function advance(int $second): void
    {
        while (null !== ($turn = $this->nextTurn($second))) {
            [$dispatcher, $soonest] = $turn;
            $dispatcher->take(
                $dispatcher->choose($soonest, self::WAITED_LONG)[0],
                $soonest,
                $dispatcher->queue->callers->admission->handlingSeconds,
            );
            --$dispatcher->ahead;
        }
    }

    /** @return array{self, int}|null whose caller is taken next, and when; null where none is up to this second */
    private function nextTurn(int $second): ?array
    {
        $turn = null;
        foreach ([...$this->before, $this] as $dispatcher) {
            $soonest = $dispatcher->ahead > 0 ? $dispatcher->soonest() : null;
            if (null !== $soonest && $soonest <= $second && $soonest < ($turn[1] ?? \PHP_INT_MAX)) {
                $turn = [$dispatcher, $soonest];
            }
        }

        return $turn;
    }

    /** The second at which the first agent is free. */
    private function soonest(): ?int
    {
        $soonest = \PHP_INT_MAX;
        foreach ($this->agents as $agent) {
            $freeAt = $agent->freeAt();
            if (null !== $freeAt && $freeAt < $soonest) {
                $soonest = $freeAt;
            }
        }

        return \PHP_INT_MAX === $soonest ? null : max(0, $soonest);
    }

    /** @return list<Agent> whoever is asked first, then the others, lower tiers before those that joined them */
    private function choose(int $second, int $waited): array
    {
        $byTier = [];
        foreach ($this->agents as $agent) {
            $freeAt = $agent->freeAt();
            if (null !== $freeAt && $freeAt <= $second) {
                $byTier[$agent->tier][] = $agent;
            }
        }
        ksort($byTier);
        $chosen = [];
        foreach ($byTier as $tier => $agents) {
            if (
                $waited >= ($tier - 1) * $this->queue->agents->asking->widenSeconds ||
                ($this->queue->agents->asking->spillsOver && [] === $chosen)
            ) {
                array_push($chosen, ...[] === $chosen ? $this->firstAhead($agents) : $agents);
            }
        }

        return $chosen;
    }

    /**
     * @param non-empty-list<Agent> $agents
     *
     * @return non-empty-list<Agent> the same, whoever is asked first ahead of the others
     */
    private function firstAhead(array $agents): array
    {
        if (1 === \count($agents) || AgentOrder::AllAtOnce === $this->queue->agents->asking->order) {
            return $agents;
        }
        $members = [];
        foreach ($agents as $agent) {
            $members[] = $this->members[$agent->who] ??= new RingMember($agent->who, []);
        }
        $place = (int) array_search($this->order($agents)->first($members), $members, true);

        $first = $agents[$place];
        unset($agents[$place]);

        return [$first, ...$agents];
    }

    /**
     * The orders of teams, by the agents' own figures.
     *
     * @param list<Agent> $agents those of whom one is to be found
     */
    private function order(array $agents): Order
    {
        return match ($this->queue->agents->asking->order) {
            AgentOrder::LongestIdle => self::by('idleSince', $agents),
            AgentOrder::FewestCalls => self::by('calls', $agents),
            AgentOrder::LeastTalk => self::by('talk', $agents),
            AgentOrder::RoundRobin => new Rotating($this->everybody(), $this->askedLast),
            AgentOrder::Random => new Shuffled($this->everybody(), $this->seed + $this->asked),
            AgentOrder::InOrder, AgentOrder::AllAtOnce => new TeamOrder(),
        };
    }

    /** @return list<string> */
    private function everybody(): array
    {
        return array_map(static fn(Agent $agent): string => $agent->who, $this->agents);
    }

    /**
     * @param 'idleSince'|'calls'|'talk' $figure
     * @param list<Agent>                $agents
     */
    private static function by(string $figure, array $agents): Order
    {
        $figures = [];
        foreach ($agents as $agent) {
            $figures[$agent->who] = $agent->now->$figure;
        }

        return new ByFigure(static fn(string $who): int => $figures[$who]);
    }
}
