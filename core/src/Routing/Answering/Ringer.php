<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Call\Status;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Target;
use Meandros\Core\Ringing\AllAtOnce;
use Meandros\Core\Ringing\Pattern;
use Meandros\Core\Ringing\RingMember;
use Meandros\Core\Ringing\RingResult;
use Meandros\Core\Ringing\RingSimulation;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Ringing\TeamPattern;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Waiting\Turn;
use Meandros\Core\Routing\Walk;
use Meandros\Core\Routing\WhyRung;

/** Rings a person, a team or a number, and tells what became of it. The same one rings round after round. */
final class Ringer
{
    private ?Round $last = null;

    public function __construct(private readonly Walk $walk) {}

    /**
     * @param Choice|null $choice of the person's rules, when the target is a person
     * @param int         $round  from 1, where the caller is kept and it rings again
     * @param string|null $site   from which a call to a number leaves, where it is somebody's forward
     *
     * @throws CallOver when the caller gives up meanwhile
     */
    public function ring(
        ?Target $target,
        int $seconds,
        ?Choice $choice = null,
        int $round = 1,
        ?string $site = null,
    ): Onward {
        $walk = $this->walk;
        if (null !== $target?->number && $walk->plan->dialled($target->number) instanceof Number) {
            $onward = $walk->comeBackIn($target->number, $seconds);

            return null === $onward?->ending ? Onward::by(RingStep::NOBODY) : $onward;
        }
        $start = $walk->second();
        if (null !== $choice && $choice->isSilent()) {
            $exit = Status::DoNotDisturb === $choice->status ? RingStep::BUSY : RingStep::UNREACHABLE;
            $this->note(new Ringing($target, [], 0, $seconds, $exit, new WhyRung($choice)), $start, $round);

            return Onward::by($exit);
        }
        [$members, $pattern] = $this->what($target, $choice, $site);
        [$result, $rung] = $this->simulate($members, $pattern, $seconds);
        $this->note(
            new Ringing($target, $rung, $result->seconds, $seconds, $result->exit, new WhyRung($choice)),
            $start,
            $round,
        );
        $walk->pass($result->seconds);

        return self::onward($result);
    }

    /**
     * Asks agents, all of them at once.
     *
     * @param list<RingMember>    $members
     * @param Turn|null           $turn    why they are asked; null where it is told only if somebody takes the call
     * @param \Closure(int): void $pass    lets so many seconds pass
     *
     * @throws CallOver when the caller gives up meanwhile
     */
    public function alert(Target $whom, array $members, int $seconds, ?Turn $turn, \Closure $pass): Onward
    {
        $start = $this->walk->second();
        [$result, $rung] = $this->simulate($members, new AllAtOnce(), $seconds);
        if (null !== $turn || null === $result->exit) {
            $this->walk->note(
                new Ringing($whom, $rung, $result->seconds, $seconds, $result->exit, new WhyRung(turn: $turn)),
                $start,
            );
        }
        $pass($result->seconds);

        return self::onward($result);
    }

    /**
     * @param list<RingMember> $members
     *
     * @return array{RingResult, list<Rung>} and what rang, in seconds since the call began
     */
    private function simulate(array $members, Pattern $pattern, int $seconds): array
    {
        $walk = $this->walk;
        $start = $walk->second();
        $walk->willRing(RingMember::count($members));
        $round = new Round($members, $pattern, $seconds, $walk->assumed(), $walk->clock->left());
        $result = $this->last?->again($round) ?? $this->run($round);
        $round->result = $result;
        $this->last = $round;
        $rung =
            0 === $start
                ? $result->rung
                : array_map(static fn(Rung $rung): Rung => $rung->later($start), $result->rung);
        $walk->rung->add($rung, $result->dialled);

        return [$result, $rung];
    }

    private function run(Round $round): RingResult
    {
        return (new RingSimulation(
            $round->assumed,
            $this->walk->lines,
            $this->walk->rung->before($round->assumed),
            $this->walk->channelsInUse(),
        ))->run($round->members, $round->pattern, $round->seconds, $round->left);
    }

    /** @return array{list<RingMember>, Pattern} */
    private function what(?Target $target, ?Choice $choice, ?string $site): array
    {
        $members = new Members($this->walk);
        $element = $this->walk->plan->find($target?->element);

        return match (true) {
            null !== $target?->number => [[$members->number($target->number, $site)], new AllAtOnce()],
            $element instanceof Person => [[$members->person($element, $choice)], new AllAtOnce()],
            $element instanceof Team => [
                $members->team($element),
                TeamPattern::of($element, $this->walk->assumptions->earlier),
            ],
            default => [[], new AllAtOnce()],
        };
    }

    /** Of later rounds only the one in which somebody answers is told: the others are the same again. */
    private function note(Ringing $ringing, int $start, int $round): void
    {
        if (1 === $round || null === $ringing->exit) {
            $this->walk->note($ringing, $start);
        }
    }

    private static function onward(RingResult $result): Onward
    {
        return match (true) {
            null !== $result->announcedTo => Onward::end(new Ending(EndingKind::Announced, $result->announcedTo)),
            null === $result->answeredBy => Onward::by((string) $result->exit),
            default => Onward::end(
                new Ending(
                    $result->byOwnMailbox() ? EndingKind::OwnMailbox : EndingKind::Answered,
                    $result->answeredBy->owner->person,
                    $result->answeredBy->id,
                ),
            ),
        };
    }
}
