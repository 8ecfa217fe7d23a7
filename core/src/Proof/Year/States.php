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
    /** Seconds that are looked through at a time: most states come within some weeks. */
    private const STRIDE = 32 * 86400;

    /** @var array<string, true> */
    private array $seen = [];
    private int $at;
    private readonly HoursCompiler $usual;

    private function __construct(Hours $hours, private readonly Fares $fares)
    {
        $this->usual = new HoursCompiler((new PlanHours($fares->plan))->timetable($hours));
        $this->at = $fares->from;
    }

    /** Whether the hours of a step come to the state, and nobody forces them into another. */
    public static function occurs(HoursStep $step, string $state, Fares $fares): bool
    {
        $hours = $fares->plan->get(Hours::class, $step->hours);

        return null !== $hours &&
            self::comes($hours, $state, $fares) &&
            // What is forced will be lifted.
            [] ===
                array_filter(
                    $fares->live->overrides,
                    static fn(Override $override): bool => $override->hours === $hours->id(),
                );
    }

    /** Whether hours come to the state. */
    public static function comes(Hours $hours, string $state, Fares $fares): bool
    {
        /** @var \WeakMap<Fares, array<string, self>> $known */
        static $known = new \WeakMap();
        $of = ($known[$fares] ?? [])[$hours->id()] ?? new self($hours, $fares);
        $known[$fares] = [$hours->id() => $of] + ($known[$fares] ?? []);

        return $of->has($state);
    }

    private function has(string $state): bool
    {
        while (!isset($this->seen[$state]) && $this->at < $this->fares->until) {
            $until = min($this->at + self::STRIDE, $this->fares->until);
            $this->seen += array_fill_keys($this->usual->over($this->at, $until)->between($this->at, $until), true);
            $this->at = $until;
        }

        return isset($this->seen[$state]);
    }
}
