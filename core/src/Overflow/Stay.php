<?php

declare(strict_types=1);

namespace Meandros\Core\Overflow;

use Meandros\Core\Plan\Step;

/** A step in which somebody or something may take the call. */
final readonly class Stay
{
    /**
     * @param string $place JSON Pointer within the journey
     * @param string $by    who may take it: an element by id, or a number in E.164
     */
    public function __construct(public string $journey, public string $place, public Step $step, public string $by) {}

    public function key(): string
    {
        return $this->journey . ' ' . $this->place;
    }
}
