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
use Meandros\Core\Proof\Ways\Stand;
use Meandros\Core\Proof\Ways\Untried;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Itinerary;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Routing\Walk;

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
        $explored = static fn(bool $bySecond): Explorer => self::explored($plan, $begin, $given, $router, $bySecond);
        $explorer = $explored(false);
        $routes = $explorer->routes();
        $trace = static fn(Assumptions $by): Trace => $router->trace($plan, $call, $by, $live);
        $endings = self::withPlainGivingUp($routes->endings($given), $given, $trace);
        $unsteady = $routes->unsteady();
        $notTried = $explorer->notTried;
        $tooFar = $routes->tooFar();
        if ([] !== $unsteady || null !== $tooFar) {
            $areSo = self::thatAreSo($endings, $trace);
            if ([] === $notTried || !self::areAlike($areSo, $endings)) {
                // Those that come earlier and later fare differently: something changes while calls go on, or they are stopped.
                $bySecond = $explored(true);
                $more = $bySecond->routes()->endings($given);
                $endings = self::thatAreSo([...$endings, ...$more], $trace);
                $notTried += array_filter(
                    $bySecond->notTried,
                    static fn(NotTried $one): bool => Untried::TooManyWays !== $one->why,
                );
                $explorer = $bySecond->isSpent() ? $explorer : $bySecond;
            }
        }

        return new self(
            $endings,
            [
                ...array_values($notTried),
                ...self::changing($unsteady),
                ...null === $tooFar ? [] : [self::notTried(Untried::TooManyWays, $tooFar)],
            ],
            \count($explorer->stands),
            (new Outlook($explorer->stands))->steps(),
        );
    }

    /**
     * Whoever gives up after a second has done nothing else, where the call goes on for so long then. Where there is no latest, that is
     * also what tells of a late one that comes to something else before.
     *
     * @param list<PossibleEnding>         $endings
     * @param \Closure(Assumptions): Trace $trace
     *
     * @return list<PossibleEnding>
     */
    private static function withPlainGivingUp(array $endings, Assumptions $given, \Closure $trace): array
    {
        $by = (new Acts())->inShort($given, 1);

        $givesUp = static fn(Assumptions $by): bool => EndingKind::CallerGaveUp === $trace($by)->ending->kind;

        return array_map(
            static fn(PossibleEnding $one): PossibleEnding => EndingKind::CallerGaveUp === $one->ending->kind &&
            $givesUp($by)
                ? new PossibleEnding(
                    $one->ending,
                    1,
                    $by,
                    $one->most,
                    null !== $one->most || $givesUp($one->mostBy) ? $one->mostBy : $by,
                )
                : $one,
            $endings,
        );
    }

    /**
     * Where phones that rang together are looked at again in the same second, once more: it matters what each of them did.
     *
     * @param array{Walk, Itinerary} $begin
     */
    private static function explored(
        Plan $plan,
        array $begin,
        Assumptions $given,
        Router $router,
        bool $bySecond,
    ): Explorer {
        foreach ([false, true] as $mixes) {
            $explorer = new Explorer($router, $plan, $given, $bySecond, $mixes);
            $explorer->explore(new Stand($begin[0], $begin[1], new Acts()));
            if (!$explorer->looksAgain) {
                break;
            }
        }

        return $explorer;
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
            $one = self::notTried(Untried::Changes, $stand);
            $changing[$one->journey . ' ' . $one->step] = $one;
        }

        return array_values($changing);
    }

    private static function notTried(Untried $why, Stand $at): NotTried
    {
        [$journey, $step] = $at->way->place() ?? [null, null];

        return new NotTried($why, $journey, $step);
    }

    /**
     * @param list<PossibleEnding>         $endings
     * @param \Closure(Assumptions): Trace $trace
     *
     * @return list<PossibleEnding> each once, at its soonest and its latest of those at which it is so
     */
    private static function thatAreSo(array $endings, \Closure $trace): array
    {
        $found = [];
        foreach ($endings as $one) {
            $key = Stand::keyOf($one->ending);
            foreach ([[$one->leastBy, $one->least], [$one->mostBy, $one->most]] as [$by, $seconds]) {
                $call = $trace($by);
                if (Stand::keyOf($call->ending) === $key && (null === $seconds || $call->seconds === $seconds)) {
                    $found[$key][] = [$one->ending, $call->seconds, $by, null === $seconds];
                }
            }
        }
        $areSo = [];
        foreach ($found as $times) {
            usort($times, static fn(array $a, array $b): int => $a[1] <=> $b[1]);
            $isEndless = [] !== array_filter(array_column($times, 3));
            [$first, $last] = [$times[0], $times[\count($times) - 1]];
            $areSo[] = new PossibleEnding($first[0], $first[1], $first[2], $isEndless ? null : $last[1], $last[2]);
        }
        // Callers may give up in all of them.
        $place = static fn(PossibleEnding $one): array => [
            EndingKind::CallerGaveUp === $one->ending->kind,
            $one->least,
        ];
        usort($areSo, static fn(PossibleEnding $a, PossibleEnding $b): int => $place($a) <=> $place($b));

        return $areSo;
    }

    /**
     * @param list<PossibleEnding> $some
     * @param list<PossibleEnding> $others
     */
    private static function areAlike(array $some, array $others): bool
    {
        $told = static fn(PossibleEnding $one): string => Stand::keyOf($one->ending) . " $one->least $one->most";
        [$these, $those] = [array_map($told, $some), array_map($told, $others)];

        return [] === array_diff($these, $those) && [] === array_diff($those, $these);
    }
}
