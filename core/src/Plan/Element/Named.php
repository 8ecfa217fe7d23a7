<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

trait Named
{
    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }
}
