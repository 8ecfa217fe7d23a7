<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Step\DialsPeople;

/** Where a call goes from a step: on to the next one, out by an exit, to another journey, or nowhere. */
final readonly class Onward
{
    private function __construct(
        public ?string $exit = null,
        public ?Toward $toward = null,
        public ?Ending $ending = null,
        public ?Ending $otherwise = null,
        public ?int $again = null,
        public ?Part $part = null,
    ) {}

    public static function next(): self
    {
        return new self();
    }

    /** @param Ending|null $otherwise how the call ends where the exit is not listed, or its steps run out; null to go on with the next step */
    public static function by(string $exit, ?Ending $otherwise = null): self
    {
        return new self(exit: $exit, otherwise: $otherwise);
    }

    /** @param bool $comesBack whether the call goes on after the step when that journey runs out */
    public static function to(string $journey, bool $comesBack = false): self
    {
        return new self(toward: new Toward($journey, $comesBack));
    }

    /** Rings somebody who was dialled, as part of the step. */
    public static function ringing(Person $person): self
    {
        return new self(part: new Part($person->id(), $person->directSteps(), DialsPeople::DIALLED));
    }

    public static function within(Part $part): self
    {
        return new self(part: $part);
    }

    /** Equal for two that lead to the same from the same step. */
    public function key(): string
    {
        $part = null === $this->part ? null : [$this->part->name, $this->part->exit];

        return serialize([$this->exit, $this->toward, $this->ending, $this->otherwise, $this->again, $part]);
    }

    /** @param int $up menus further up than the one that the step stands in */
    public static function again(int $up): self
    {
        return new self(again: $up);
    }

    /** Whether the call goes on with the step after this one. */
    public function goesOn(): bool
    {
        return null === $this->toward && null === $this->ending && null === $this->again && null === $this->part;
    }

    public static function end(Ending $ending): self
    {
        return new self(ending: $ending);
    }
}
