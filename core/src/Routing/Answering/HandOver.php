<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Element\Via;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Entry;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Step\MessageWalker;
use Meandros\Core\Routing\Walk;

/** A call is somebody's for good: their answering rule says which phones ring, and where it goes from there. */
final readonly class HandOver
{
    public function __construct(private Walk $walk)
    {
    }

    /**
     * @param list<string> $passed people who have passed it on already
     *
     * @throws CallOver
     */
    public function to(Person $person, array $passed = []): Onward
    {
        if (\in_array($person->id(), $passed, true)) {
            return Onward::end(new Ending(EndingKind::LoopStopped));
        }
        $choice = (new Answering($this->walk))->of($person, Via::Direct);
        $rule = $choice->rule;
        $outcome = RingStep::NOBODY;
        if (null === $rule || [] !== $rule->stages) {
            $seconds = null === $rule ? Entry::RING_SECONDS : max(array_map(static fn ($stage): int => $stage->after + $stage->seconds, $rule->stages));
            $onward = (new Ringer($this->walk))->ring($person->id(), $seconds, $choice);
            if (null !== $onward->ending) {
                return $onward;
            }
            $outcome = RingStep::REFUSED === $onward->exit ? RingStep::NOBODY : (string) $onward->exit;
        }
        $next = null === $rule ? $person->mailbox : $rule->then[$outcome] ?? null;

        return null === $next ? Onward::by($outcome) : $this->on($next, [...$passed, $person->id()], $outcome);
    }

    /**
     * @param list<string> $passed
     *
     * @throws CallOver
     */
    private function on(string $next, array $passed, string $outcome): Onward
    {
        $element = $this->walk->plan->find($next);

        return match (true) {
            $element instanceof Mailbox => MessageWalker::take(new MessageStep('answering', $next), $this->walk),
            $element instanceof Person => $this->to($element, $passed),
            $element instanceof Team => (new Ringer($this->walk))->ring($next, Entry::RING_SECONDS),
            $element instanceof Journey => Onward::to($next),
            default => Onward::by($outcome),
        };
    }
}
