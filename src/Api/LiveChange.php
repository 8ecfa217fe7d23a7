<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\AnswerChange;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\TooMuchWork;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\Plans;

/** The neighbouring moments at which an answer changes, where the plan may be another one by then. */
final readonly class LiveChange
{
    private const LIVE = 'live';

    public function __construct(
        private AnswerChange $changes,
        private Router $router,
        private Plans $plans,
        private Editions $editions,
        private Live $live,
    ) {}

    /**
     * @throws InvalidData
     * @throws TooMuchWork
     */
    public function next(TrialCallRequest $asked): ?int
    {
        [$plan, $call] = [$asked->plan, $asked->call];
        while (true) {
            $next = $this->changes->next($plan, $call, $asked->assumptions, $this->live->state($plan));
            $from = self::LIVE === $asked->which ? $this->editions->next($call->instant)[1] ?? null : null;
            if (null === $from || (null !== $next && $next < $from)) {
                return $next;
            }
            $then = $this->plans->get(self::LIVE, $from);
            $call = $call->at($from);
            // It may change at that very second for both reasons.
            if ($next === $from || $this->differ($plan, $then, $call, $asked)) {
                return $from;
            }
            $plan = $then;
        }
    }

    /**
     * @throws InvalidData
     * @throws TooMuchWork
     */
    public function previous(TrialCallRequest $asked): ?int
    {
        [$plan, $call] = [$asked->plan, $asked->call];
        while (true) {
            $previous = $this->changes->previous($plan, $call, $asked->assumptions, $this->live->state($plan));
            $since = self::LIVE === $asked->which ? $this->editions->since($call->instant) : null;
            if (null === $since || (null !== $previous && $previous > $since)) {
                return $previous;
            }
            $before = $this->plans->get(self::LIVE, $since - 1);
            $call = $call->at($since);
            if ($previous === $since || $this->differ($before, $plan, $call, $asked)) {
                return $since;
            }
            $plan = $before;
        }
    }

    /** Whether a call fares differently; to a number that one of them does not have, it does. */
    private function differ(Plan $one, Plan $other, TrialCall $call, TrialCallRequest $asked): bool
    {
        return $this->signature($one, $call, $asked) !== $this->signature($other, $call, $asked);
    }

    /** @return string|null null where what is dialled is nothing of the plan */
    private function signature(Plan $plan, TrialCall $call, TrialCallRequest $asked): ?string
    {
        try {
            return $this->router
                ->trace($plan, $call, $asked->assumptions, $this->live->state($plan, $call->instant))
                ->signature();
        } catch (InvalidData) {
            return null;
        }
    }
}
