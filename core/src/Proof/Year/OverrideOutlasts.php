<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Live\Outlasting;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Proof\Fares\Fares;

/** Hours are forced past the moment at which they would open, or close, by themselves. */
final class OverrideOutlasts implements HoursCheck
{
    public function found(Fares $fares): iterable
    {
        $usual = new PlanHours($fares->plan);
        foreach ($fares->live->overrides as $override) {
            $hours = $fares->plan->get(Hours::class, $override->hours);
            $at =
                null === $hours || !$override->holdsAt($fares->from)
                    ? null
                    : (new Outlasting($usual))->opening($hours, $override, $fares->from);
            if (null !== $hours && null !== $at) {
                yield Finding::warning($hours, '/name', 'override-outlasts', [
                    'state' => $hours->states->nameOf($override->state),
                    'opens' => $hours->isOpen($override->state) ? 'no' : 'yes',
                    'at' => LocalClock::of($at, $usual->zone($hours)),
                ]);
            }
        }
    }
}
