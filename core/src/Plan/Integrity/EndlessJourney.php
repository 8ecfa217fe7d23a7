<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Integrity;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Reading\Problem;

/**
 * Finds journeys that come back to their own start with nothing on the way that a caller or an answerer could change:
 * only prompts, hours and other journeys. Round trips through a menu or ringing are allowed; a trace stops them.
 *
 * What goes on unasked makes a graph of journeys; a way that stays within one of its circles never ends.
 */
final class EndlessJourney
{
    /** @var array<string, array<string, string>> by journey: where calls leave it unasked (a pointer), and for which other */
    private array $ways = [];

    private function __construct(private readonly Plan $plan) {}

    /** @return list<Problem> of one element */
    public static function problems(Plan $plan, Element $element): array
    {
        if (!($element instanceof Journey)) {
            return [];
        }
        $self = new self($plan);
        $problems = [];
        foreach ($self->waysOut($element->id()) as $pointer => $next) {
            if (isset($self->reach($next)[$element->id()])) {
                $problems[] = self::problem($pointer);
            }
        }

        return $problems;
    }

    /** @return array<string, non-empty-list<Problem>> of all journeys, by id */
    public static function inPlan(Plan $plan): array
    {
        $self = new self($plan);
        $circles = $self->circles();
        $problems = [];
        foreach ($circles as $id => $circle) {
            foreach ($self->waysOut($id) as $pointer => $next) {
                if (($circles[$next] ?? null) === $circle) {
                    $problems[$id][] = self::problem($pointer);
                }
            }
        }

        return $problems;
    }

    private static function problem(string $pointer): Problem
    {
        return new Problem($pointer, 'endless-journey');
    }

    /** @return array<string, true> journeys that a call comes to unasked, the first among them */
    private function reach(string $start): array
    {
        $reached = [$start => true];
        for ($queue = [$start]; null !== ($id = array_pop($queue)); ) {
            foreach ($this->waysOut($id) as $next) {
                if (!isset($reached[$next])) {
                    $reached[$next] = true;
                    $queue[] = $next;
                }
            }
        }

        return $reached;
    }

    /**
     * Strongly connected parts of the graph (Kosaraju's way, as in R. Sedgewick, Algorithms, 4.2): those left last are
     * followed backwards first.
     *
     * @return array<string, string> for each journey the name of its part
     */
    private function circles(): array
    {
        $back = [];
        $seen = $order = [];
        foreach ($this->plan->all(Journey::class) as $journey) {
            for ($stack = [[$journey->id(), false]]; null !== ($top = array_pop($stack)); ) {
                [$id, $isLeft] = $top;
                if ($isLeft) {
                    $order[] = $id;
                } elseif (!isset($seen[$id])) {
                    $seen[$id] = true;
                    $stack[] = [$id, true];
                    foreach ($this->waysOut($id) as $next) {
                        $back[$next][] = $id;
                        $stack[] = [$next, false];
                    }
                }
            }
        }
        $circles = [];
        foreach (array_reverse($order) as $name) {
            for ($queue = [$name]; null !== ($id = array_pop($queue)); ) {
                if (!isset($circles[$id])) {
                    $circles[$id] = $name;
                    array_push($queue, ...$back[$id] ?? []);
                }
            }
        }

        return $circles;
    }

    /** @return array<string, string> by pointer */
    private function waysOut(string $id): array
    {
        if (!isset($this->ways[$id])) {
            $ways = [];
            $journey = $this->plan->get(Journey::class, $id);
            null === $journey || self::scan($journey->steps, '/steps', $ways);
            $this->ways[$id] = $ways;
        }

        return $this->ways[$id];
    }

    /** @param array<string, string> $ways */
    private static function scan(StepList $list, string $pointer, array &$ways): void
    {
        foreach ($list->steps as $i => $step) {
            $place = $pointer . '/' . $i;
            if (null !== $step->leadsTo()) {
                $ways[$place . '/journey'] = $step->leadsTo();
            }
            if ($step->isLast() || !$step->letsPassUnasked()) {
                return;
            }
            foreach ($step->exits()->items as $j => $exit) {
                self::scan($exit->steps, \sprintf('%s/exits/%d/steps', $place, $j), $ways);
            }
        }
    }
}
