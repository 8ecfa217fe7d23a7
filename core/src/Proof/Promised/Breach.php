<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\Caller;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Proof\PackedIntervals;
use Meandros\Core\Proof\TakenBy;

/** Calls that do not keep a promise, all taking one course, and when. */
final readonly class Breach
{
    /**
     * @param non-empty-list<Number> $numbers to which calls fare so
     * @param list<string>           $keys    pressed at one menu after the other
     * @param Behaviour|null         $phones  what all phones do; null where they ring on
     */
    public function __construct(
        public array $numbers,
        public Caller $caller,
        public array $keys,
        public ?Behaviour $phones,
        public TakenBy $by,
        public PackedIntervals $times,
    ) {}

    /**
     * The same of other numbers, within a stretch of time.
     *
     * @param non-empty-list<Number> $numbers to which calls fare alike
     *
     * @return self|null null where it is kept then
     */
    public function of(array $numbers, int $from, int $until): ?self
    {
        $within = $this->times->within($from, $until);

        return null === $within
            ? null
            : new self($numbers, $this->caller, $this->keys, $this->phones, $this->by, $within);
    }
}
