<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Explorer;
use Meandros\Core\Proof\Ways\Outlook;
use Meandros\Core\Proof\Ways\Routes;
use Meandros\Core\Proof\Ways\Stand;
use Meandros\Core\Proof\Ways\Untried;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\Trace;

/**
 * Every way in which a call can end at its moment, whatever callers press, whoever answers, is busy, unreachable or refuses,
 * and however long callers wait.
 */
final readonly class Endings
{
    /**
     * @param list<PossibleEnding> $endings  the soonest first
     * @param list<NotTried>       $notTried where there may be others; nowhere for most calls
     * @param int                  $places   at which calls may stand
     * @param list<StepOutlook>    $steps    what can become of calls from each step on to which they may come
     */
    private function __construct(
        public array $endings,
        public array $notTried,
        public int $places,
        public array $steps,
    ) {}

    /**
     * @param Assumptions $given of which only what the company and earlier calls do counts
     *
     * @throws InvalidData when what is dialled is nothing of the plan
     */
    public static function of(
        Plan $plan,
        TrialCall $call,
        Assumptions $given = new Assumptions(),
        LiveState $live = new LiveState(),
        Router $router = new Router(),
    ): self {
        $begin = $router->begin($plan, $call, (new Acts())->within($given), $live);
        if (null === $begin) {
            return new self([], [], 0, []);
        }
        $unsteady = null;
        $mixes = false;
        foreach ([false, true] as $bySecond) {
            do {
                $explorer = new Explorer($router, $plan, $given, $bySecond, $mixes);
                $start = $explorer->explore(new Stand($begin[0], $begin[1], new Acts()));
                $isEnough = $mixes || !$explorer->looksAgain;
                $mixes = !$isEnough;
            } while (!$isEnough);
            $routes = new Routes($explorer->stands, $start);
            $endings = $routes->endings($given);
            // Those that come earlier and later to something that changes while calls go on fare differently.
            $unsteady ??= $routes->unsteady();
            $trace = static fn(Assumptions $by): Trace => $router->trace($plan, $call, $by, $live);
            if ([] === $unsteady || ([] !== $explorer->notTried && self::areTrue($endings, $trace))) {
                break;
            }
        }

        return new self(
            $endings,
            [...array_values($explorer->notTried), ...self::changing($unsteady)],
            \count($explorer->stands),
            (new Outlook($explorer->stands))->steps(),
        );
    }

    /**
     * @param list<Stand> $unsteady
     *
     * @return list<NotTried>
     */
    private static function changing(array $unsteady): array
    {
        $changing = [];
        foreach ($unsteady as $stand) {
            [$journey, $step] = $stand->way->place() ?? [null, null];
            $changing[$journey . ' ' . $step] = new NotTried(Untried::Changes, $journey, $step);
        }

        return array_values($changing);
    }

    /**
     * Where not all is tried in any case, it is enough that what is listed is so.
     *
     * @param list<PossibleEnding>         $endings
     * @param \Closure(Assumptions): Trace $trace
     */
    private static function areTrue(array $endings, \Closure $trace): bool
    {
        foreach ($endings as $one) {
            foreach ([[$one->leastBy, $one->least], [$one->mostBy, $one->most]] as [$by, $seconds]) {
                $call = $trace($by);
                $isSo =
                    Stand::keyOf($call->ending) === Stand::keyOf($one->ending) &&
                    (null === $seconds || $call->seconds === $seconds);
                if (!$isSo) {
                    return false;
                }
            }
        }

        return true;
    }
}
