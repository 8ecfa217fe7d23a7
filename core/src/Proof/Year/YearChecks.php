<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Call\Caller;
use Meandros\Core\Check\Finding;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Known;

/** Everything that is looked for in how all calls of a year fare. */
final class YearChecks
{
    /** @var non-empty-list<class-string<YearCheck>> the worst first */
    public const ALL = [
        NumberReachesNobody::class,
        CallsRunOut::class,
        OpenAndNobodyThere::class,
        StepNeverReached::class,
        StateNeverOccurs::class,
        RungOutsideHours::class,
        PersonNeverRung::class,
        WaitsTooLong::class,
        SaidInAnotherLanguage::class,
        OverrideOutlasts::class,
        EdgesDifferByMinutes::class,
    ];

    /**
     * @param \Closure(): bool $goOn  asked before each number of which nothing is known; whether there is time for it
     * @param Known|null       $known of calls over the same year; null where nothing is
     *
     * @return array{list<Finding>, int} what was found, and how many numbers could not be looked at: then nothing is said of what never happens
     */
    public static function in(Fares $fares, \Closure $goOn, ?Known $known = null): array
    {
        $checks = array_map(static fn(string $class): YearCheck => new $class(), self::ALL);
        $steps = new StepsReached();
        $left = 0;
        $isAll = true;
        foreach ($fares->numbers() as $alike => $numbers) {
            $callers = $fares->callers([], $numbers[0]);
            $from = array_map(static fn(Caller $one): string => $one->text, $callers);
            $asked = implode(' ', [hash('xxh128', $alike), ...$from]);
            if (true !== $known?->has($numbers[0], $asked) && !$goOn()) {
                $left += \count($numbers);
                continue;
            }
            $look = static fn(): SeenOfOne => SeenOfOne::of($numbers[0], $callers, $fares, self::ALL);
            $seen = $known?->of($numbers[0], $asked, $look) ?? $look();
            $isAll = $isAll && $seen->isAll;
            $steps->add($seen->steps);
            foreach ($seen->checks as $i => $check) {
                $all = $checks[$i];
                $all instanceof CallCheck && $all->add($check, $numbers);
            }
        }
        $findings = [];
        foreach ($checks as $check) {
            if (($isAll && 0 === $left) || !($check instanceof OfWhatNeverHappens)) {
                array_push(
                    $findings,
                    ...$check instanceof StepsCheck ? $check->found($steps, $fares) : $check->found($fares),
                );
            }
        }

        return [$findings, $left];
    }
}
