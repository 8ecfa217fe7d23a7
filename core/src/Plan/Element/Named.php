<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** For elements, of which each says what it is about. */
trait Named
{
    public function about(): About
    {
        return $this->about;
    }

    public function id(): string
    {
        return $this->about->id;
    }

    public function name(): string
    {
        return $this->about->name;
    }
}
