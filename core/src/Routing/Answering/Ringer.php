<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Plan\Element\RingPattern;
use Meandros\Core\Plan\Element\Status;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Ringing\AllAtOnce;
use Meandros\Core\Ringing\RingResult;
use Meandros\Core\Ringing\RingSimulation;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Ringing\TeamPattern;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Walk;

/** Rings a person, a team or a number outside, and tells what became of it. */
final readonly class Ringer
{
    public function __construct(private Walk $walk)
    {
    }

    /**
     * @param Choice|null $choice of the person's rules, when the target is a person
     * @param int         $round  from 1, where the caller is kept and it rings again
     * @param string|null $site   from which a call to a number leaves, where it is somebody's forward
     *
     * @throws CallOver when the caller gives up meanwhile
     */
    public function ring(?string $target, int $seconds, ?Choice $choice = null, int $round = 1, ?string $site = null): Onward
    {
        $walk = $this->walk;
        $start = $walk->second();
        if (null !== $choice && $choice->isSilent()) {
            $exit = Status::DoNotDisturb === $choice->status ? RingStep::BUSY : RingStep::UNREACHABLE;
            $this->note(new Ringing($target, [], 0, $seconds, $exit, $choice), $start, $round);

            return Onward::by($exit);
        }
        $members = (new Members($walk))->of($target, $choice, $site);
        $team = $walk->plan->get(Team::class, $target);
        if (RingPattern::Paging === $team?->pattern) {
            return (new Pager($walk))->page($team, $members);
        }
        $left = $walk->secondsLeft();
        $result = (new RingSimulation($walk->assumptions, $walk->lines, $walk->rungSeconds()))->run(
            $members,
            null === $team ? new AllAtOnce() : TeamPattern::of($team, $walk->assumptions->earlier),
            null === $left ? $seconds : min($seconds, $left),
        );
        $rung = array_map(static fn (Rung $rung): Rung => $rung->later($start), $result->rung);
        $walk->rang($rung);
        $this->note(new Ringing($target, $rung, $result->seconds, $seconds, $result->exit, $choice), $start, $round);
        $walk->pass($result->seconds);

        return self::onward($result);
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
        return null === $result->answeredBy
            ? Onward::by((string) $result->exit)
            : Onward::end(new Ending($result->byOwnMailbox() ? EndingKind::OwnMailbox : EndingKind::Answered, $result->answeredBy->person, $result->answeredBy->id));
    }
}
