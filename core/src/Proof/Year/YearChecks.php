<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Fares\Presses;

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
     * @param \Closure(): bool $goOn asked before each number; whether there is time for it
     *
     * @return array{list<Finding>, int} what was found, and how many numbers could not be looked at: then nothing is said of what never happens
     */
    public static function in(Fares $fares, \Closure $goOn): array
    {
        $checks = array_map(static fn(string $class): YearCheck => new $class(), self::ALL);
        $left = 0;
        $isAll = true;
        foreach ($fares->numbers() as $numbers) {
            if (!$goOn()) {
                $left += \count($numbers);
                continue;
            }
            foreach ($fares->callers([], $numbers[0]) as $caller) {
                [$presses, $areAll] = $fares->presses($numbers[0], $caller);
                $isAll = $isAll && $areAll;
                foreach ($presses as $keys) {
                    foreach ($fares->courses($numbers[0], $caller, $keys)->all() as $course) {
                        if (Presses::areTaken($course, $keys)) {
                            $seen = new Seen($numbers, $caller, $keys, $course);
                            foreach ($checks as $check) {
                                $check->see($seen, $fares);
                            }
                        }
                    }
                }
            }
        }
        $findings = [];
        foreach ($checks as $check) {
            if (($isAll && 0 === $left) || !($check instanceof OfWhatNeverHappens)) {
                array_push($findings, ...$check->found($fares));
            }
        }

        return [$findings, $left];
    }
}
