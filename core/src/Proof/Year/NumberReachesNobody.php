<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Reach;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Happening\FaxLookedFor;

/** A number whose calls never come to anybody or anything, whatever callers press. */
final class NumberReachesNobody implements CallCheck, OfWhatNeverHappens
{
    private bool $isNothing = true;
    /** @var array<string, bool> whether its calls come to nothing, those to all of a block, by number of the plan */
    private array $numbers = [];

    public function see(Seen $seen, Fares $fares): void
    {
        $this->isNothing =
            $this->isNothing &&
            Reach::Nobody === $seen->course->reach &&
            [] ===
                array_filter(
                    $seen->course->trace->passage->events,
                    static fn(Event $event): bool => $event->happening instanceof FaxLookedFor,
                );
    }

    public function add(CallCheck $one, array $numbers): void
    {
        \assert($one instanceof self);
        foreach ($numbers as $number) {
            $this->numbers[$number->id()] = ($this->numbers[$number->id()] ?? true) && $one->isNothing;
        }
    }

    public function found(Fares $fares): iterable
    {
        foreach ($this->numbers as $id => $isNothing) {
            $number = $fares->plan->get(Number::class, $id);
            if ($isNothing && null !== $number?->target) {
                yield Finding::warning($number, '/target', 'number-reaches-nobody');
            }
        }
    }
}
