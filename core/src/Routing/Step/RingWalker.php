<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Via;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Routing\Answering\Answering;
use Meandros\Core\Routing\Answering\HandOver;
use Meandros\Core\Routing\Answering\Persistence;
use Meandros\Core\Routing\Answering\Ringer;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Happening\Said;
use Meandros\Core\Routing\KeysMeanwhile;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

final class RingWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof RingStep);

        return (new KeysMeanwhile($walk))->during(
            $step->exits()->keys(),
            static fn(): Onward => self::keepRinging($step, $walk),
            $step->greeting->begins(),
        );
    }

    /** @throws CallOver */
    private static function keepRinging(RingStep $step, Walk $walk): Onward
    {
        $person = $walk->plan->get(Person::class, $step->target?->element);
        if (null !== $person && $step->length->handOver) {
            return (new HandOver($walk))->to($person);
        }

        $ringer = new Ringer($walk);

        return Persistence::ring(
            $walk,
            $ringer,
            null === $step->target ? 0 : $step->length->againMinutes,
            $step->length->seconds,
            static fn(int $round, int $seconds): Onward => 1 === $round
                ? self::greeted(
                    $step,
                    $walk,
                    static fn(): Onward => self::ring($step, $walk, $ringer, $seconds, $round),
                )
                : self::ring($step, $walk, $ringer, $seconds, $round),
        );
    }

    /** @throws CallOver */
    private static function ring(RingStep $step, Walk $walk, Ringer $ringer, int $seconds, int $round): Onward
    {
        $person = $walk->plan->get(Person::class, $step->target?->element);
        $choice = null === $person ? null : (new Answering($walk))->of($person, Via::Direct);

        return $ringer->ring($step->target, $seconds, $choice, $round);
    }

    /**
     * The greeting begins after so many seconds of ringing, and the phones ring on. Callers hear it to its end.
     *
     * @param \Closure(): Onward $ring
     *
     * @throws CallOver
     */
    private static function greeted(RingStep $step, Walk $walk, \Closure $ring): Onward
    {
        $prompt = $walk->plan->get(Prompt::class, $step->greeting->prompt);
        if (null === $prompt) {
            return $ring();
        }
        $begins = $walk->second() + $step->greeting->after;
        $heard = $walk->hear($prompt);
        $walk->clock->willHear($begins);
        $onward = null;
        try {
            $onward = $ring();
        } finally {
            $walk->clock->willHear(null);
            $ringing = min($walk->second() - $begins, $heard->seconds);
            if ($ringing > 0) {
                $goesOn = null !== $onward && null === $onward->ending;
                $walk->note(
                    Said::whileRinging(
                        $heard,
                        $walk->arrival()->language,
                        $goesOn ? $heard->seconds : $ringing,
                        $ringing,
                    ),
                    $begins,
                );
                $walk->clock->answer();
            }
        }
        $rest = $heard->seconds - $ringing;
        if ($ringing > 0 && null === $onward->ending && $rest > 0) {
            $walk->pass($rest);
        }

        return $onward;
    }
}
