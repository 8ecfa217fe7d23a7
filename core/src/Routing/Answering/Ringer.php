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
use Meandros\Core\Ringing\Round;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Ringing\TeamPattern;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\TooMuchWork;
use Meandros\Core\Routing\Waiting\Turn;
use Meandros\Core\Routing\Walk;
use Meandros\Core\Routing\WhyRung;

/** Rings a person, a team or a number, and tells what became of it. The same one rings the same target round after round. */
final class Ringer
{
    private ?Round $last = null;

    public function __construct(private readonly Walk $walk) {}

    /**
     * @param Choice|null $choice of the person's rules, when the target is a person
     * @param int         $number from 1, where the caller is kept and it rings again
     * @param string|null $site   from which a call to a number leaves, where it is somebody's forward
     *
     * @throws CallOver when the caller gives up meanwhile
     */
    public function ring(
        ?Target $target,
        int $seconds,
        ?Choice $choice = null,
        int $number = 1,
        ?string $site = null,
    ): Onward {
        $walk = $this->walk;
        if (null !== $target?->number && $walk->plan->dialled($target->number) instanceof Number) {
            $onward = $walk->comeBackIn($target->number, $seconds);

            return null === $onward?->ending ? Onward::by(RingStep::NOBODY) : $onward;
        }
        if (null !== $choice && $choice->isSilent()) {
            $exit = Status::DoNotDisturb === $choice->status ? RingStep::BUSY : RingStep::UNREACHABLE;
            1 === $number && $walk->note(new Ringing($target, [], 0, $seconds, $exit, new WhyRung($choice)));

            return Onward::by($exit);
        }
        $round = $this->again($seconds) ?? $this->round($seconds, fn(): array => $this->what($target, $choice, $site));
        if (null !== $choice) {
            // By the next one another rule may hold.
            $this->last = null;
        }
        $result = $this->simulate($round);
        // Of later rounds only the one in which somebody answers is told: the others are the same again.
        if (1 === $number || null === $result->exit) {
            $this->note($target, $seconds, $result, new WhyRung($choice));
        }
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
        $result = $this->simulate($this->round($seconds, static fn(): array => [$members, new AllAtOnce()]));
        if (null !== $turn || null === $result->exit) {
            $this->note($whom, $seconds, $result, new WhyRung(turn: $turn));
        }
        $pass($result->seconds);

        return self::onward($result);
    }

    /** The round before, where it is the same once more: nothing counted for who rings that may be otherwise by now. */
    private function again(int $seconds): ?Round
    {
        $last = $this->last;
        $isSame = null !== $last && $seconds === $last->seconds && $this->walk->assumed() === $last->assumed;

        return $isSame ? $last : null;
    }

    /**
     * The last round again and again, for as long as that is the same.
     *
     * @param int $every  seconds from one to the next
     * @param int $latest second at which the last of them may begin
     *
     * @throws CallOver
     */
    public function ringAgain(int $every, int $latest): void
    {
        $walk = $this->walk;
        $second = $walk->second();
        // Whoever is gone before the next one ends it: that is rung by itself.
        $last = min($latest, $this->sameUntil() - 1, $second + $walk->clock->left() - $every - 1);
        if ($last >= $second) {
            $times = 1 + intdiv($last - $second, $every);
            $walk->rung->again($times, $every);
            $walk->pass($times * $every);
        }
    }

    /** The first second at which a round that begins may be another than the last one. */
    private function sameUntil(): int
    {
        $isSame = null !== $this->last && $this->walk->assumed() === $this->last->assumed;

        return $isSame ? $this->walk->assumedUntil() : 0;
    }

    /** @param \Closure(): array{list<RingMember>, Pattern} $what */
    private function round(int $seconds, \Closure $what): Round
    {
        $walk = $this->walk;
        $looked = $walk->lookups->count();
        [$members, $pattern] = $what();
        $assumed = $walk->assumed();
        $round = new Round(
            $members,
            $pattern,
            $seconds,
            $assumed,
            $assumed->somebodyAnswers() ? $walk->rung->before($assumed) : [],
            $walk->channelsInUse(),
        );
        $isSteady =
            $looked === $walk->lookups->count() &&
            !$round->somebodyAnswers &&
            !RingMember::areKeptBy(Rung::PAUSING, $members);
        $this->last = $isSteady ? $round : null;

        return $round;
    }

    /** @throws TooMuchWork */
    private function simulate(Round $round): RingResult
    {
        $walk = $this->walk;
        $walk->willRing($round->phones);
        $result = $walk->phones->rounds->ring($round, $walk->clock->left());
        $walk->rung->add($result, $walk->second());

        return $result;
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

    private function note(?Target $whom, int $seconds, RingResult $result, WhyRung $why): void
    {
        $rung = $this->walk->rung->last();
        $this->walk->note(new Ringing($whom, $rung, $result->seconds, $seconds, $result->exit, $why));
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
