<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

/** A day on which a holiday is kept. */
final readonly class Occasion
{
    /** @param int|null $insteadOf the day that this one is a substitute for */
    public function __construct(public int $day, public Holiday $holiday, public ?int $insteadOf = null) {}

    public function name(): string
    {
        return null === $this->insteadOf ? $this->holiday->name : $this->holiday->name . ' (substitute day)';
    }
}
