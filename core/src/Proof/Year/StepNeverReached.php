<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Proof\Fares\Fares;

/** A step that no call comes to at any time of the year, in a journey to which calls come. */
final readonly class StepNeverReached implements CallCheck, OfWhatNeverHappens
{
    private StepsReached $steps;

    public function __construct()
    {
        $this->steps = new StepsReached();
    }

    public function see(Seen $seen, Fares $fares): void
    {
        $this->steps->see($seen->course);
    }

    public function add(CallCheck $one, array $numbers): void
    {
        \assert($one instanceof self);
        $this->steps->add($one->steps);
    }

    public function found(Fares $fares): iterable
    {
        foreach ($this->steps->never($fares) as [$journey, $pointer]) {
            yield Finding::warning($journey, $pointer, 'step-never-reached');
        }
    }
}
