<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Element\TeamMember;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Ringing\AllAtOnce;
use Meandros\Core\Ringing\RingMember;
use Meandros\Core\Ringing\RingPhone;
use Meandros\Core\Ringing\RingSimulation;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Ringing\TeamPattern;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Walk;

final class RingWalker
{
    /** @throws CallOver */
    public static function take(RingStep $step, Walk $walk): Onward
    {
        $start = $walk->second();
        $left = $walk->secondsLeft();
        $target = $walk->plan->find($step->target);
        $result = (new RingSimulation($walk->assumptions))->run(
            self::members($step, $walk->plan),
            $target instanceof Team ? TeamPattern::of($target, $walk->assumptions->earlier) : new AllAtOnce(),
            null === $left ? $step->seconds : min($step->seconds, $left),
        );
        $rung = array_map(static fn (Rung $rung): Rung => $rung->later($start), $result->rung);
        $walk->rang($rung);
        $walk->note(new Ringing($step->target, $rung, $result->seconds, $step->seconds, $result->exit), $start);
        $walk->pass($result->seconds);
        if (null !== $result->answeredBy) {
            return Onward::end(new Ending($result->byOwnMailbox() ? EndingKind::OwnMailbox : EndingKind::Answered, $result->answeredBy->person, $result->answeredBy->id));
        }

        return Onward::by((string) $result->exit);
    }

    /** @return list<RingMember> */
    private static function members(RingStep $step, Plan $plan): array
    {
        if ($step->ringsOutside()) {
            return [new RingMember((string) $step->target, [RingPhone::outside((string) $step->target)])];
        }
        $target = $plan->find($step->target);

        return match (true) {
            $target instanceof Person => [new RingMember($target->id(), RingPhone::of($target))],
            $target instanceof Team => array_map(
                static fn (TeamMember $member): RingMember => new RingMember($member->who, self::phones($member, $plan), $member->tier, $member->seconds),
                array_values(array_filter($target->members, static fn (TeamMember $member): bool => $member->on)),
            ),
            default => [],
        };
    }

    /** @return list<RingPhone> */
    private static function phones(TeamMember $member, Plan $plan): array
    {
        if ($member->isOutside()) {
            return [RingPhone::outside($member->who, $member->askFirst)];
        }
        $person = $plan->get(Person::class, $member->person());
        $phones = null === $person ? [] : RingPhone::of($person, $member->askFirst);

        return null === $member->phone() ? $phones : array_values(array_filter($phones, static fn (RingPhone $phone): bool => $phone->id === $member->who));
    }
}
