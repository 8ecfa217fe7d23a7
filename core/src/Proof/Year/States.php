<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Plan\Step\HoursStep;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Time\HoursCompiler;
use Meandros\Core\Time\Override;

/** The states that hours are in over a stretch of time by themselves, with nothing forced. */
final class States
{
    /** Whether the hours of a step come to the state, and nobody forces them into another. */
    public static function occurs(HoursStep $step, string $state, Fares $fares): bool
    {
        $hours = $fares->plan->get(Hours::class, $step->hours);

        return null !== $hours &&
            isset(self::of($hours, $fares)[$state]) &&
            // What is forced will be lifted.
            [] ===
                array_filter(
                    $fares->live->overrides,
                    static fn(Override $override): bool => $override->hours === $hours->id(),
                );
    }

    /** @return array<string, true> */
    public static function of(Hours $hours, Fares $fares): array
    {
        /** @var \WeakMap<Fares, array<string, array<string, true>>> $known */
        static $known = new \WeakMap();
        if (!isset($known[$fares][$hours->id()])) {
            $usual = (new PlanHours($fares->plan))->timetable($hours);
            $states = HoursCompiler::compile($usual, $fares->from, $fares->until)->between($fares->from, $fares->until);
            $known[$fares] = [$hours->id() => array_fill_keys($states, true)] + ($known[$fares] ?? []);
        }

        return $known[$fares][$hours->id()];
    }
}
