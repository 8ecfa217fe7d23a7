<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Waiting;

use Meandros\Core\Plan\Element\AgentOrder;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\PickUp;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Target;
use Meandros\Core\Queueing\Agent;
use Meandros\Core\Queueing\Dispatcher;
use Meandros\Core\Routing\Answering\Members;
use Meandros\Core\Routing\Answering\Ringer;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\SignedOutForMissing;
use Meandros\Core\Routing\Happening\WordHeard;
use Meandros\Core\Routing\Walk;

/** Asks the agents of a queue for one call, whoever's turn it is. */
final class Agents
{
    /** Of agents who are asked in vain, only so many are told one by one; all of them are drawn as bars. */
    private const MOST_TOLD = 40;

    private int $told = 0;

    public function __construct(
        private readonly Queue $queue,
        private readonly Walk $walk,
        private readonly Dispatcher $dispatcher,
    ) {}

    /** Whether any of those who are signed in has a phone that can be reached. */
    public function anyReachable(): bool
    {
        $members = new Members($this->walk);
        foreach ($this->dispatcher->signedIn() as $agent) {
            $person = $this->walk->plan->get(Person::class, $agent->who);
            if (null !== $person && $members->reaches($person)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Asks whoever is free, or lets time pass until that can change.
     *
     * @param int                 $waited seconds
     * @param int                 $until  second after which nobody is asked any longer
     * @param \Closure(int): void $pass   lets the caller wait until a second
     *
     * @return Ending|null null where nobody has taken the call by now
     *
     * @throws CallOver
     */
    public function ask(int $waited, int $until, \Closure $pass): ?Ending
    {
        $now = $this->walk->second();
        $agents = $this->dispatcher->candidates($now, $waited);
        if ([] === $agents) {
            $pass(min($until, $this->dispatcher->next($now, $waited) ?? $until));

            return null;
        }
        $asked = AgentOrder::AllAtOnce === $this->queue->agents->asking->order ? $agents : [$agents[0]];
        $members = [];
        foreach ($asked as $agent) {
            $person = $this->walk->plan->get(Person::class, $agent->who);
            null === $person ||
                ($members[] = (new Members($this->walk))->agent($person, $this->queue->agents->taking->pickUp));
        }
        $turn = new Turn(
            $this->queue->agents->asking->order,
            \count($agents),
            $asked[0]->tier,
            $this->dispatcher->figure($asked[0], $now),
            PickUp::ByItself === $this->queue->agents->taking->pickUp,
        );
        $whom = Target::element(1 === \count($asked) ? $asked[0]->who : $this->queue->id());
        $ending = (new Ringer($this->walk))->alert(
            $whom,
            $members,
            min($this->queue->agents->asking->alertSeconds, $until - $now),
            ++$this->told <= self::MOST_TOLD ? $turn : null,
            static fn(int $seconds) => $pass($now + $seconds),
        )->ending;
        if (null === $ending) {
            array_walk($asked, $this->miss(...));
        } elseif (EndingKind::Answered === $ending->kind) {
            $this->sayTheWord();
        }

        return $ending;
    }

    private function miss(Agent $agent): void
    {
        $missed = $this->dispatcher->miss($agent, $this->walk->second());
        null === $missed || $this->walk->note(new SignedOutForMissing($this->queue->id(), $agent->who, $missed));
    }

    /** The agent hears what the call is about; the caller waits meanwhile. */
    private function sayTheWord(): void
    {
        $heard = $this->walk->hear($this->walk->plan->get(Prompt::class, $this->queue->agents->taking->word));
        if (null !== $heard->prompt) {
            $this->walk->note(new WordHeard($heard->prompt, $heard->seconds));
            $this->walk->pass($heard->seconds);
        }
    }
}
