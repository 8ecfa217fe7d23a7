<?php

declare(strict_types=1);

namespace Meandros\Core\Overflow;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\State;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\HoursStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Value\Lists;

/**
 * Where calls flow that nobody takes, from one who may take them to the next, across journeys: worked out from the steps,
 * whatever the time, with callers who do nothing. Only journeys that calls come to from where one begins are read.
 */
final class Overflow
{
    /** @var array<string, Journey> those that were asked for, also such that are not in the plan by themselves */
    private array $journeys = [];
    /** @var array<string, array<string, Rest>> what comes after each step, by journey and pointer */
    private array $rests = [];
    /** @var array<string, array<string, array<string, list<string>>>> in which states of which hours calls come to a step, by journey and pointer */
    private array $given = [];
    /** @var array<string, list<Flow>> by stay */
    private array $flows = [];
    /** @var array<string, int|null> by stay */
    private array $longest = [];

    public function __construct(private readonly Plan $plan) {}

    /**
     * Every queue that a call can come to, and where it comes to it: by steps, or sent straight there.
     *
     * @param string|null $queue only this one
     *
     * @return list<Stay>
     */
    public function queues(?string $queue = null): array
    {
        $only = null === $queue ? null : $this->plan->get(Queue::class, $queue);
        $stays = [];
        foreach (null === $only ? $this->plan->all(Queue::class) : [$only] as $one) {
            foreach ($this->plan->mentioning($one->id()) as $user) {
                // What sends calls straight to it goes through the shortest of journeys.
                $journey = $user instanceof Journey ? $user : new Journey($one->about(), $one->directSteps());
                foreach ($this->staysOf($journey) as $stay) {
                    if ($stay->by === $one->id()) {
                        $stays[$stay->key()] = $stay;
                    }
                }
            }
        }

        return array_values($stays);
    }

    /**
     * @param list<Stay> $starts
     *
     * @return list<Stay> these, and all that calls flow to from there
     */
    public function reachable(array $starts): array
    {
        $reached = [];
        while (null !== ($stay = array_shift($starts))) {
            if (!isset($reached[$stay->key()])) {
                $reached[$stay->key()] = $stay;
                foreach ($this->from($stay) as $flow) {
                    null === $flow->to || ($starts[] = $flow->to);
                }
            }
        }

        return array_values($reached);
    }

    /** @return list<Stay> in the order in which they are read */
    public function staysOf(Journey $journey): array
    {
        $this->journeys[$journey->id()] ??= $journey;
        $stays = [];
        foreach ($journey->steps->everyStep('/steps') as $place => $step) {
            if (null !== $step->takenBy()) {
                $stays[] = new Stay($journey->id(), $place, $step, $step->takenBy());
            }
        }

        return $stays;
    }

    /** @return list<Flow> */
    public function from(Stay $stay): array
    {
        return $this->flows[$stay->key()] ??= $this->find($stay);
    }

    /** @return array<string, list<string>> the states in which calls come to it, by the hours that branch before it in its journey */
    public function givenAt(Stay $stay): array
    {
        $this->read($stay->journey);

        return $this->given[$stay->journey][$stay->place] ?? [];
    }

    /** @return list<Stay> the way from it back to it, itself first; none where calls do not come back */
    public function wayBack(Stay $stay): array
    {
        $seen = [];
        $ways = [[$stay, [$stay]]];
        while (null !== ($next = array_shift($ways))) {
            [$at, $way] = $next;
            foreach ($this->from($at) as $flow) {
                if ($flow->to?->key() === $stay->key()) {
                    return $way;
                }
                if (null !== $flow->to && !isset($seen[$flow->to->key()])) {
                    $seen[$flow->to->key()] = true;
                    $ways[] = [$flow->to, [...$way, $flow->to]];
                }
            }
        }

        return [];
    }

    /** @return int|null the seconds after which a mailbox has the call, or it has ended, if nobody takes it: at most; null where it may go round for ever */
    public function longest(Stay $stay): ?int
    {
        if (!\array_key_exists($stay->key(), $this->longest)) {
            // What is being worked out when it is asked for again goes round.
            $this->longest[$stay->key()] = null;
            $seconds = [];
            foreach ($this->from($stay) as $flow) {
                $rest = null === $flow->to ? 0 : $this->longest($flow->to);
                $seconds[] = null === $rest ? null : $flow->seconds + $rest;
            }
            $this->longest[$stay->key()] = Lists::has($seconds, null) ? null : max([0, ...$seconds]);
        }

        return $this->longest[$stay->key()];
    }

    /** @return list<Flow> */
    private function find(Stay $stay): array
    {
        $this->read($stay->journey);
        $rest = $this->rests[$stay->journey][$stay->place];
        $flows = [];
        foreach ($stay->step->waysOn($this->plan) as $exit => $seconds) {
            $seen = [];
            $this->follow($this->by($stay->step, $exit, $stay->place, $rest), $seconds, $seen, static function (
                ?Stay $to,
                int $seconds,
                array $hours,
            ) use (&$flows, $exit): void {
                $known = $flows[$to?->key() ?? ''] ?? new Flow([], 0, $to);
                $flows[$to?->key() ?? ''] = new Flow(
                    array_values(array_unique([...$known->exits, $exit])),
                    max($known->seconds, $seconds),
                    $to,
                    $known->hours + $hours,
                );
            });
        }

        return array_values($flows);
    }

    /** Where calls go on that leave a step by an exit; what is not listed goes on after it. */
    private function by(Step $step, string $exit, string $place, Rest $after): Rest
    {
        foreach ($step->exits()->items as $i => $listed) {
            if ($listed->on === $exit) {
                return new Rest($after->journey, \sprintf('%s/exits/%d/steps', $place, $i), $listed->steps, 0, $after);
            }
        }

        return $after;
    }

    /**
     * @param array<string, int>                                  $seen  seconds after which a step was come to
     * @param \Closure(Stay|null, int, array<string, true>): void $found
     * @param array<string, true>                                 $hours looked at so far
     */
    private function follow(?Rest $at, int $seconds, array &$seen, \Closure $found, array $hours = []): void
    {
        while (null !== $at && $at->next >= \count($at->list->steps)) {
            $at = $at->outer;
        }
        if (null === $at) {
            $found(null, $seconds, $hours);

            return;
        }
        $place = $at->journey . ' ' . $at->place();
        if (($seen[$place] ?? -1) >= $seconds) {
            return;
        }
        $seen[$place] = $seconds;
        $step = $at->list->steps[$at->next];
        $by = $step->takenBy();
        if (null !== $by) {
            $found(new Stay($at->journey, $at->place(), $step, $by), $seconds, $hours);

            return;
        }
        $journey = $this->plan->get(Journey::class, $step->leadsTo());
        if (null !== $journey) {
            // A journey that is come to again on the way is not followed again: no time passes in going round.
            isset($seen['in ' . $journey->id()]) ||
                $this->follow(
                    $this->start($journey, $seen, $step->isLast() ? null : $at->after()),
                    $seconds,
                    $seen,
                    $found,
                    $hours,
                );

            return;
        }
        $hours += $step instanceof HoursStep && null !== $step->hours ? [$step->hours => true] : [];
        $ways = $step->waysOn($this->plan);
        foreach ($ways as $exit => $more) {
            $this->follow($this->by($step, $exit, $at->place(), $at->after()), $seconds + $more, $seen, $found, $hours);
        }
        if ([] === $ways) {
            $found(null, $seconds, $hours);
        }
    }

    /**
     * @param array<string, int> $seen
     * @param Rest|null          $after where the call comes back to when the journey runs out
     */
    private function start(Journey $journey, array &$seen, ?Rest $after): Rest
    {
        $seen['in ' . $journey->id()] = 0;

        return new Rest($journey->id(), '/steps', $journey->steps, 0, $after);
    }

    private function read(string $id): void
    {
        if (!isset($this->rests[$id])) {
            $this->rests[$id] = $this->given[$id] = [];
            $journey = $this->journeys[$id] ?? $this->plan->get(Journey::class, $id);
            null === $journey || $this->readList(new Rest($id, '/steps', $journey->steps), []);
        }
    }

    /** @param array<string, list<string>> $given states, by hours */
    private function readList(Rest $at, array $given): void
    {
        for (; $at->next < \count($at->list->steps); $at = $at->after()) {
            $step = $at->list->steps[$at->next];
            $this->rests[$at->journey][$at->place()] = $at->after();
            $this->given[$at->journey][$at->place()] = $given;
            $hours = $step instanceof HoursStep ? $this->plan->get(Hours::class, $step->hours) : null;
            $goOn = array_map(static fn(State $state): string => $state->key, $hours->states->all ?? []);
            foreach ($step->exits()->items as $i => $exit) {
                $inside = null === $hours ? $given : [$hours->id() => [$exit->on]] + $given;
                $this->readList(
                    new Rest(
                        $at->journey,
                        \sprintf('%s/exits/%d/steps', $at->place(), $i),
                        $exit->steps,
                        0,
                        $at->after(),
                    ),
                    $inside,
                );
                $goOn = self::endsInIt($exit->steps) ? array_values(array_diff($goOn, [$exit->on])) : $goOn;
            }
            $given = null === $hours ? $given : [$hours->id() => $goOn] + $given;
        }
    }

    private static function endsInIt(StepList $list): bool
    {
        return [] !== array_filter($list->steps, static fn(Step $step): bool => $step->isLast());
    }
}
