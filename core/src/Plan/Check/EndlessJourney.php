<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Problem;
use Meandros\Core\Plan\Step\EndStep;
use Meandros\Core\Plan\Step\GoStep;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Step\StepList;

/**
 * Finds journeys that come back to their own start with nothing on the way that a caller or an answerer could change:
 * only prompts, hours and other journeys. Round trips through a menu or ringing are allowed; a trace stops them.
 */
final class EndlessJourney
{
    /** @var array<string, true> journeys that were looked into */
    private array $visited = [];

    private function __construct(private readonly Plan $plan, private readonly string $start)
    {
    }

    /** @return list<Problem> */
    public static function problems(Plan $plan, Element $element): array
    {
        if (!$element instanceof Journey) {
            return [];
        }
        $problems = [];
        (new self($plan, $element->id()))->scan($element->steps, '/steps', null, $problems);

        return $problems;
    }

    /**
     * @param string|null   $blame    where the journey under test left for another one; null while still inside it
     * @param list<Problem> $problems
     */
    private function scan(StepList $list, string $pointer, ?string $blame, array &$problems): void
    {
        foreach ($list->steps as $i => $step) {
            $place = $pointer.'/'.$i;
            if ($step instanceof GoStep) {
                $this->follow($step, $blame ?? $place.'/journey', $problems);

                return;
            }
            if ($step instanceof MenuStep || $step instanceof RingStep || $step instanceof MessageStep || $step instanceof EndStep) {
                return;
            }
            foreach ($step->exits()->items as $j => $exit) {
                $this->scan($exit->steps, \sprintf('%s/exits/%d/steps', $place, $j), $blame, $problems);
            }
        }
    }

    /** @param list<Problem> $problems */
    private function follow(GoStep $step, string $blame, array &$problems): void
    {
        if ($step->journey === $this->start) {
            $problems[] = new Problem($blame, 'The call would go round here for ever: it comes back to this journey with nobody asked and nobody rung.', 'Go elsewhere, or put a menu, a ring or an end before it.');

            return;
        }
        $next = $this->plan->get(Journey::class, $step->journey);
        if (null !== $next && !isset($this->visited[$next->id()])) {
            $this->visited[$next->id()] = true;
            $this->scan($next->steps, '', $blame, $problems);
        }
    }
}
