<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\RuleOutcome;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Element\Via;
use Meandros\Core\Plan\Step\RingLength;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Plan\Target;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Part;
use Meandros\Core\Routing\Step\MessageWalker;
use Meandros\Core\Routing\Stop;
use Meandros\Core\Routing\Walk;
use Meandros\Core\Routing\Walkers;
use Meandros\Core\Value\Lists;

/** A call is somebody's for good: their answering rule says which phones ring, and where it goes from there. */
final readonly class HandOver
{
    public function __construct(private Walk $walk) {}

    /**
     * @param list<string> $passed people who have passed it on already
     *
     * @throws CallOver
     */
    public function to(Person $person, array $passed = []): Onward
    {
        if (Lists::has($passed, $person->id())) {
            throw CallOver::stopped(Stop::People);
        }
        $choice = (new Answering($this->walk))->of($person, Via::Direct);
        $rule = $choice->rule;
        $outcome = RingStep::NOBODY;
        if (null === $rule || [] !== $rule->ringing->stages) {
            $ringer = new Ringer($this->walk);
            $onward = Persistence::ring(
                $this->walk,
                $ringer,
                $rule->ringing->againMinutes ?? 0,
                null === $rule ? RingLength::DIRECT : $rule->ringing->seconds(),
                static fn(int $round, int $seconds): Onward => $ringer->ring(
                    Target::element($person->id()),
                    $seconds,
                    $choice,
                    $round,
                ),
            );
            if (null !== $onward->ending) {
                return $onward;
            }
            $outcome = RingStep::REFUSED === $onward->exit ? RingStep::NOBODY : (string) $onward->exit;
        }
        $next =
            null === $rule
                ? new RuleOutcome(null === $person->reach->mailbox ? null : Target::element($person->reach->mailbox))
                : $rule->then[$outcome] ?? new RuleOutcome();

        return null === $next->to
            ? Onward::by($outcome)
            : $this->on($next->to, $next->greeting, $person->site, [...$passed, $person->id()]);
    }

    /**
     * The caller leaves a mailbox for somebody.
     *
     * @throws CallOver
     */
    public function out(Target $to): Onward
    {
        $element = $to->isEnd() ? null : $this->walk->plan->find($to->element);
        $name = 'out ' . $element?->id();

        return match (true) {
            $element instanceof Person => Onward::within(
                new Part(
                    $name,
                    new StepList([RingStep::direct(Target::element($element->id()), handOver: true)]),
                    null,
                ),
            ),
            $element instanceof Team, $element instanceof Queue => Onward::within(
                new Part($name, $element->directSteps(), null),
            ),
            default => $this->on($to, null, $this->walk->arrival()->at->site),
        };
    }

    /**
     * The call is passed on for good.
     *
     * @param string|null  $greeting that a mailbox plays in place of its own
     * @param string|null  $site     from which a call to a number leaves
     * @param list<string> $passed   people who have passed it on already
     *
     * @throws CallOver
     */
    public function on(Target $to, ?string $greeting, ?string $site, array $passed = []): Onward
    {
        if ($to->isEnd()) {
            return Onward::end(new Ending(EndingKind::EndedByPlan));
        }
        $element = $this->walk->plan->find($to->element);

        return match (true) {
            $element instanceof Mailbox => MessageWalker::leave($element, $this->walk, $greeting),
            $element instanceof Person => $this->to($element, $passed),
            $element instanceof Journey => Onward::to($element->id()),
            $element instanceof TakesCalls => (new Walkers())->through($element->directSteps(), $this->walk),
            default => (new Ringer($this->walk))->ring($to, RingLength::DIRECT, site: $site),
        };
    }
}
