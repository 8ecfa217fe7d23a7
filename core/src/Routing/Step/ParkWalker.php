<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\ParkStep;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\ParkedAt;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

/** The call waits at a place; who dials the place talks to the caller. */
final class ParkWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof ParkStep);
        $site = $walk->plan->get(Site::class, $step->site);
        if (null === $site) {
            $walk->note(new ParkedAt($step, null, null));

            return Onward::next();
        }
        $place = self::place($step, $site, $walk);
        if (null === $place) {
            $walk->note(new ParkedAt($step, $site->id(), null));

            return Onward::by(ParkStep::NONE_FREE);
        }
        $walk->clock->answer();
        $parked = $walk->assumptions->parked;
        $isTaken = null !== $parked->takenAfter && (0 === $step->seconds || $parked->takenAfter < $step->seconds);
        $heard = $walk->hear($walk->plan->get(Prompt::class, $step->prompt));
        $walk->note(
            new ParkedAt(
                $step,
                $site->id(),
                $place,
                $heard->prompt,
                $isTaken ? $parked->takenAfter : null,
                $parked->by,
            ),
        );
        $walk->pass(
            $isTaken ? (int) $parked->takenAfter : (0 === $step->seconds ? TrialCall::MOST_SECONDS : $step->seconds),
        );

        return $isTaken
            ? Onward::end(new Ending(EndingKind::Answered, $parked->by ?? $site->id()))
            : Onward::by(ParkStep::NOT_TAKEN);
    }

    /** The place that is meant, or the first, at which no call waits. */
    private static function place(ParkStep $step, Site $site, Walk $walk): ?string
    {
        $meant = '' === $step->place ? $site->parkPlaces : array_intersect($site->parkPlaces, [$step->place]);

        return array_values(array_diff($meant, $walk->assumptions->parked->taken))[0] ?? null;
    }
}
