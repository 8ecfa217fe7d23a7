<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;

/**
 * The neighbouring moments at which a call would fare differently.
 *
 * A trace depends on time only through the hours that it reads, and says in which stretch of instants each reading
 * stays the same. Stepping from stretch to stretch and comparing traces finds the exact second.
 */
final readonly class AnswerChange
{
    /** A plan that reads many hours changes often without changing the answer. */
    private const WORK = 150_000;
    /** Of a stretch, whatever the call is. */
    private const OF_A_STRETCH = 20;

    public function __construct(private Router $router) {}

    /**
     * @return int|null the first instant after the call's at which the answer differs
     *
     * @throws InvalidData
     * @throws TooMuchWork
     */
    public function next(Plan $plan, TrialCall $call, Assumptions $assumptions, LiveState $live = new LiveState()): ?int
    {
        return $this->change(
            $plan,
            $call,
            $assumptions,
            $live,
            static fn(Trace $trace): ?int => $trace->holds->until,
            0,
        );
    }

    /**
     * @return int|null the last instant before the call's at which the answer changed
     *
     * @throws InvalidData
     * @throws TooMuchWork
     */
    public function previous(
        Plan $plan,
        TrialCall $call,
        Assumptions $assumptions,
        LiveState $live = new LiveState(),
    ): ?int {
        return $this->change(
            $plan,
            $call->at($call->instant - 1),
            $assumptions,
            $live,
            static fn(Trace $trace): ?int => $trace->holds->since,
            1,
        );
    }

    /**
     * @param \Closure(Trace): (int|null) $edge of a stretch, where the neighbouring one begins
     * @param int                         $back seconds before that edge at which the neighbour is looked at
     */
    private function change(
        Plan $plan,
        TrialCall $call,
        Assumptions $assumptions,
        LiveState $live,
        \Closure $edge,
        int $back,
    ): ?int {
        $work = new Work(self::WORK);
        $trace = $this->router->trace($plan, $call, $assumptions, $live, $work);
        $answer = $trace->signature();
        while (null !== ($found = $edge($trace))) {
            $at = $found - $back;
            try {
                $work->spend(self::OF_A_STRETCH);
                $next = $this->router->trace($plan, $call->at($at), $assumptions, $live, $work);
            } catch (TooMuchWork) {
                throw new TooMuchWork($at);
            }
            if ($next->signature() !== $answer) {
                return $found;
            }
            $trace = $next;
        }

        return null;
    }
}
