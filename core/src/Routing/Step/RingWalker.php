<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\RingPattern;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Ringing\AllAtOnce;
use Meandros\Core\Ringing\OneAfterTheOther;
use Meandros\Core\Ringing\Pattern;
use Meandros\Core\Ringing\RingPhone;
use Meandros\Core\Ringing\RingSimulation;
use Meandros\Core\Ringing\Rung;
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
        $result = (new RingSimulation($walk->assumptions))->run(
            self::members($step, $walk->plan),
            self::pattern($walk->plan->find($step->target)),
            null === $left ? $step->seconds : min($step->seconds, $left),
        );
        $rung = array_map(static fn (Rung $rung): Rung => $rung->later($start), $result->rung);
        $walk->rang($rung);
        $walk->note(new Ringing($step->target, $rung, $result->seconds, $step->seconds, $result->exit), $start);
        $walk->pass($result->seconds);
        if (null !== $result->answeredBy) {
            return Onward::end(new Ending(EndingKind::Answered, $result->answeredBy->person, $result->answeredBy->id));
        }

        return Onward::by((string) $result->exit);
    }

    /** @return list<list<RingPhone>> */
    private static function members(RingStep $step, Plan $plan): array
    {
        if ($step->ringsOutside()) {
            return [[RingPhone::outside((string) $step->target)]];
        }
        $target = $plan->find($step->target);
        $people = match (true) {
            $target instanceof Person => [$target],
            $target instanceof Team => array_map(static fn (string $id): ?Person => $plan->get(Person::class, $id), $target->members),
            default => [],
        };

        return array_map(static fn (?Person $person): array => null === $person ? [] : RingPhone::of($person), $people);
    }

    private static function pattern(mixed $target): Pattern
    {
        return $target instanceof Team && RingPattern::OneAfterTheOther === $target->pattern
            ? new OneAfterTheOther($target->memberSeconds)
            : new AllAtOnce();
    }
}
