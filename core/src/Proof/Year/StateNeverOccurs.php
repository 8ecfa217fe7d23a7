<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\HoursStep;
use Meandros\Core\Proof\Fares\Fares;

/** An exit for a state that the timetable of the hours names, and in which they never are in the year. What is only forced may be meant for a storm. */
final class StateNeverOccurs implements HoursCheck
{
    public function found(Fares $fares): iterable
    {
        foreach ($fares->plan->all(Journey::class) as $journey) {
            foreach ($journey->steps->everyStep('/steps') as $place => $step) {
                $hours = $step instanceof HoursStep ? $fares->plan->get(Hours::class, $step->hours) : null;
                if (null === $hours) {
                    continue;
                }
                $named = self::named($hours);
                foreach ($step->exits()->items as $i => $exit) {
                    $state = isset($named[$exit->on]) ? $hours->states->find($exit->on) : null;
                    if (null !== $state && !States::comes($hours, $exit->on, $fares)) {
                        yield Finding::warning($journey, "$place/exits/$i", 'state-never-occurs', [
                            'hours' => $hours->name(),
                            'state' => $state->name,
                        ]);
                    }
                }
            }
        }
    }

    /** @return array<string, true> states in the timetable, but for single days: those come and go */
    private static function named(Hours $hours): array
    {
        $states = [$hours->states->default => true];
        foreach (
            [$hours->days->week, ...array_map(static fn($season): array => $season->week, $hours->days->seasons)]
            as $week
        ) {
            foreach ($week as $band) {
                $states[$band->band->state] = true;
            }
        }
        foreach ($hours->days->calendars as $use) {
            foreach ([$use->state, ...array_values($use->exceptions)] as $state) {
                null === $state || ($states[$state] = true);
            }
        }

        return $states;
    }
}
