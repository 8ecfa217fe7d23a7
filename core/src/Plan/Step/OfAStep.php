<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

/** For steps, of which each says what it is about. */
trait OfAStep
{
    public function id(): string
    {
        return $this->about->id;
    }

    public function why(): string
    {
        return $this->about->why;
    }
}
