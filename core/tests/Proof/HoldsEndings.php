<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Endings;
use Meandros\Core\Proof\PossibleEnding;
use Meandros\Core\Proof\StepOutlook;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\Trace;

/** Holds endings against calls that are tried. */
trait HoldsEndings
{
    /** @return list<string> */
    protected static function told(Endings $endings): array
    {
        return array_map(
            static fn(PossibleEnding $one): string => \sprintf(
                '%s %s %d %s',
                $one->ending->kind->value,
                $one->ending->who,
                $one->least,
                $one->most ?? '-',
            ),
            $endings->endings,
        );
    }

    protected static function reproduce(Plan $plan, TrialCall $call, Endings $endings): void
    {
        $router = new Router();
        foreach ($endings->endings as $one) {
            foreach ([[$one->leastBy, $one->least], [$one->mostBy, $one->most]] as [$by, $seconds]) {
                $trace = $router->trace($plan, $call, $by);
                $isSame =
                    self::isOf($trace->ending, $one->ending) && (null === $seconds || $trace->seconds === $seconds);
                $isSame ||
                    self::fail(
                        \sprintf(
                            'not %s %s after %d s but %s',
                            $one->ending->kind->value,
                            $one->ending->who,
                            $seconds,
                            self::report($trace, $plan, $by),
                        ),
                    );
            }
        }
        self::assertNotSame([], $endings->endings);
    }

    protected static function contains(Plan $plan, TrialCall $call, Endings $endings, Assumptions $by): int
    {
        $trace = (new Router())->trace($plan, $call, $by);
        self::isAhead($trace, $endings);
        foreach ($endings->endings as $one) {
            if (self::isOf($trace->ending, $one->ending)) {
                if ($trace->seconds >= $one->least && $trace->seconds <= ($one->most ?? \PHP_INT_MAX)) {
                    return 1;
                }
            }
        }
        // Where ways go round, they may be stopped.
        if (
            EndingKind::LoopStopped === $trace->ending->kind &&
            [] !== array_filter($endings->endings, static fn($one): bool => null === $one->most)
        ) {
            return 1;
        }
        self::fail(self::report($trace, $plan, $by) . ' is none of ' . implode(', ', self::told($endings)));
    }

    /** From every step that the call came to, its ending is one of those that may come, and no later. */
    protected static function isAhead(Trace $trace, Endings $endings): void
    {
        if (\in_array($trace->ending->kind, [EndingKind::CallerGaveUp, EndingKind::LoopStopped], true)) {
            return;
        }
        foreach ($trace->passage->visits as $visit) {
            if (RandomPlans::BEHIND_OWN_NUMBER === $visit->journey) {
                // Steps to which a call comes within another step.
                continue;
            }
            $found = array_values(
                array_filter(
                    $endings->steps,
                    static fn(StepOutlook $one): bool => $one->journey === $visit->journey &&
                        $one->step === $visit->step,
                ),
            );
            self::assertCount(1, $found);
            self::assertNotSame(
                [],
                array_filter($found[0]->endings, static fn(Ending $one): bool => self::isOf($one, $trace->ending)),
            );
            self::assertLessThanOrEqual($found[0]->most ?? \PHP_INT_MAX, $trace->seconds - $visit->from);
        }
    }

    protected static function isOf(Ending $one, Ending $other): bool
    {
        return $one->kind === $other->kind && $one->who === $other->who;
    }

    protected static function report(Trace $trace, Plan $plan, Assumptions $by): string
    {
        return \sprintf(
            '%s %s after %d s, %s, in %s',
            $trace->ending->kind->value,
            $trace->ending->who,
            $trace->seconds,
            json_encode($by),
            json_encode($plan->find('jrn_main')?->toJson()) . json_encode($plan->find('team')?->toJson()),
        );
    }
}
