<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\Caller;
use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Element\Number;

/** Calls to one number that a promise names. */
final readonly class PromisedCalls
{
    /**
     * @param list<Caller>         $callers none where it is never due
     * @param list<Behaviour|null> $phones  what all of them do, each by itself; null for ringing on
     */
    public function __construct(
        public Expectation $expectation,
        public Number $number,
        public array $callers,
        public array $phones,
    ) {}

    /** Whether phones ring on, and nothing else is looked at. */
    public function doRing(): bool
    {
        return [null] === $this->phones;
    }
}
