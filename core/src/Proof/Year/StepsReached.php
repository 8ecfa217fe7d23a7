<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\DialsPeople;
use Meandros\Core\Plan\Step\HoursStep;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Ways\Remaining;
use Meandros\Core\Value\Lists;

/**
 * Steps to which calls come, and those to which none does. Only what hours, keys and the order of steps decide is
 * judged: calls were seen whose phones ring on, and not what others lead to, whose phones are busy.
 */
final class StepsReached
{
    /** @var array<string, array<string, true>> by journey */
    private array $reached = [];
    /** @var array<string, true> whoever and whatever is asked to take calls, by id or number */
    private array $asked = [];

    public function see(Course $course): void
    {
        foreach ($course->trace->passage->visits as $visit) {
            $this->reached[$visit->journey][$visit->step] = true;
        }
        foreach ([...$course->takes, ...$course->people] as $who) {
            $this->asked[explode('/', $who)[0]] = true;
        }
    }

    public function add(self $other): void
    {
        foreach ($other->reached as $journey => $steps) {
            $this->reached[$journey] = ($this->reached[$journey] ?? []) + $steps;
        }
        $this->asked += $other->asked;
    }

    /** @return iterable<array{Journey, string}> steps no call comes to, but not those after them: journey and JSON Pointer */
    public function never(Fares $fares): iterable
    {
        $behind = $this->behindPhones($fares);
        foreach ($this->unreached($fares) as [$journey, $pointer, $steps, $isJudged]) {
            if ($isJudged && [] !== $steps && !isset($behind[$journey->id()])) {
                yield [$journey, $pointer];
            }
        }
    }

    /** @return array<string, true> elements to which calls may come by what phones do, or that may be asked for by name, by id */
    public function behindPhones(Fares $fares): array
    {
        $remaining = new Remaining($fares->plan);
        $mentions = array_keys($this->asked);
        foreach ($this->unreached($fares) as [, , $steps, $isJudged]) {
            foreach ($isJudged ? [] : (new StepList($steps))->everyStep('') as $step) {
                array_push($mentions, ...$remaining->mentions($step));
            }
        }
        foreach ($this->reached as $id => $steps) {
            foreach ($fares->plan->get(Journey::class, $id)?->steps->everyStep('') ?? [] as $step) {
                if ($step instanceof DialsPeople && isset($steps[$step->id()])) {
                    array_push($mentions, ...$remaining->mentions($step));
                }
            }
        }

        return $remaining->behindAll($mentions);
    }

    /** @return iterable<array{Journey, string, list<Step>, bool}> journey, pointer of the first step, it and those after it, whether it is judged */
    private function unreached(Fares $fares): iterable
    {
        foreach (array_keys($this->reached) as $id) {
            $journey = $fares->plan->get(Journey::class, $id);
            if (null !== $journey) {
                yield from $this->in($journey, $journey->steps, '/steps', true, $fares);
            }
        }
    }

    /**
     * @param bool $isJudged whether it is seen of all calls whether they come to the list
     *
     * @return iterable<array{Journey, string, list<Step>, bool}>
     */
    private function in(Journey $journey, StepList $list, string $pointer, bool $isJudged, Fares $fares): iterable
    {
        foreach ($list->steps as $i => $step) {
            if (!isset($this->reached[$journey->id()][$step->id()])) {
                $before = $list->steps[$i - 1] ?? null;
                // What stands behind an end is told of elsewhere; whoever is asked may take a call, or not.
                if (true !== $before?->isLast()) {
                    $rest = \array_slice($list->steps, $i);
                    yield [$journey, "$pointer/$i", $rest, $isJudged && null === $before?->takenBy()];
                }

                return;
            }
            foreach ($step->exits()->items as $j => $exit) {
                $isSeen =
                    ($step instanceof HoursStep && States::occurs($step, $exit->on, $fares)) ||
                    ($step instanceof MenuStep && Lists::has($step->exits()->keys(), $exit->on));
                $inside = "$pointer/$i/exits/$j/steps";
                yield from $this->in($journey, $exit->steps, $inside, $isJudged && $isSeen, $fares);
            }
        }
    }
}
