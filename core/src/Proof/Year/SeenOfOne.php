<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Call\Caller;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Fares\Presses;

/** What was seen of all calls to one number. */
final readonly class SeenOfOne
{
    /**
     * @param array<int, CallCheck> $checks that saw them, by their place
     * @param StepsReached          $steps  to which they came
     * @param bool                  $isAll  whether these were all, whatever is pressed
     */
    private function __construct(public array $checks, public StepsReached $steps, public bool $isAll) {}

    /**
     * @param list<Caller>                  $callers
     * @param list<class-string<YearCheck>> $kinds
     */
    public static function of(Number $number, array $callers, Fares $fares, array $kinds): self
    {
        $checks = array_filter(
            array_map(static fn(string $kind): YearCheck => new $kind(), $kinds),
            static fn(YearCheck $check): bool => $check instanceof CallCheck,
        );
        $steps = new StepsReached();
        $isAll = true;
        foreach ($callers as $caller) {
            [$presses, $areAll] = $fares->presses($number, $caller);
            $isAll = $isAll && $areAll;
            foreach ($presses as $keys) {
                foreach ($fares->courses($number, $caller, $keys)->all() as $course) {
                    if (Presses::areTaken($course, $keys)) {
                        $steps->see($course);
                        $seen = new Seen($number, $caller, $keys, $course);
                        array_map(static fn(CallCheck $check) => $check->see($seen, $fares), $checks);
                    }
                }
            }
        }

        return new self($checks, $steps, $isAll);
    }
}
