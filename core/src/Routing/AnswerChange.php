<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\InvalidData;
use Meandros\Core\Plan\Plan;

/**
 * The neighbouring moments at which a call would fare differently.
 *
 * A trace depends on time only through the hours that it reads, and says in which stretch of instants each reading
 * stays the same. Stepping from stretch to stretch and comparing traces finds the exact second.
 */
final readonly class AnswerChange
{
    /** Stretches looked at before giving up; a plan that reads many hours changes often without changing the answer. */
    private const MOST_STRETCHES = 3000;

    public function __construct(private Router $router)
    {
    }

    /**
     * @return int|null the first instant after the call's at which the answer differs
     *
     * @throws InvalidData
     */
    public function next(Plan $plan, TrialCall $call, Assumptions $assumptions, LiveState $live = new LiveState()): ?int
    {
        $trace = $this->router->trace($plan, $call, $assumptions, $live);
        $answer = $trace->signature();
        for ($i = 0; $i < self::MOST_STRETCHES && null !== $trace->holdsUntil; ++$i) {
            $instant = $trace->holdsUntil;
            $trace = $this->router->trace($plan, $call->at($instant), $assumptions, $live);
            if ($trace->signature() !== $answer) {
                return $instant;
            }
        }

        return null;
    }

    /**
     * @return int|null the last instant before the call's at which the answer changed
     *
     * @throws InvalidData
     */
    public function previous(Plan $plan, TrialCall $call, Assumptions $assumptions, LiveState $live = new LiveState()): ?int
    {
        $trace = $this->router->trace($plan, $call->at($call->instant - 1), $assumptions, $live);
        $answer = $trace->signature();
        for ($i = 0; $i < self::MOST_STRETCHES && null !== $trace->holdsSince; ++$i) {
            $instant = $trace->holdsSince;
            $trace = $this->router->trace($plan, $call->at($instant - 1), $assumptions, $live);
            if ($trace->signature() !== $answer) {
                return $instant;
            }
        }

        return null;
    }
}
