<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\HoursStep;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Proof\Fares\Fares;

/**
 * A step that no call comes to at any time of the year, in a journey to which calls come. Only what hours, keys and the order
 * of steps decide is judged: what a busy phone leads to is not among the calls that are looked at.
 */
final class StepNeverReached implements YearCheck, OfWhatNeverHappens
{
    /** @var array<string, array<string, true>> steps by journey */
    private array $reached = [];

    public function see(Seen $seen, Fares $fares): void
    {
        foreach ($seen->course->trace->passage->visits as $visit) {
            $this->reached[$visit->journey][$visit->step] = true;
        }
    }

    public function found(Fares $fares): iterable
    {
        foreach ($this->reached as $id => $steps) {
            $journey = $fares->plan->get(Journey::class, $id);
            if (null !== $journey) {
                yield from $this->in($journey, $journey->steps, '/steps', $steps, $fares);
            }
        }
    }

    /**
     * @param array<string, true> $reached
     *
     * @return iterable<Finding>
     */
    private function in(Journey $journey, StepList $list, string $pointer, array $reached, Fares $fares): iterable
    {
        foreach ($list->steps as $i => $step) {
            if (!isset($reached[$step->id()])) {
                // What comes after it is not reached either; and what stands behind an end is told of elsewhere.
                if (!($list->steps[$i - 1] ?? null)?->isLast()) {
                    yield Finding::warning($journey, "$pointer/$i", 'step-never-reached');
                }

                return;
            }
            foreach ($step->exits()->items as $j => $exit) {
                $isJudged =
                    ($step instanceof HoursStep && States::occurs($step, $exit->on, $fares)) ||
                    ($step instanceof MenuStep && \in_array($exit->on, $step->exits()->keys(), true));
                if ($isJudged) {
                    yield from $this->in($journey, $exit->steps, "$pointer/$i/exits/$j/steps", $reached, $fares);
                }
            }
        }
    }
}
