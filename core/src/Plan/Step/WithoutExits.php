<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

/** For steps with one way on. */
trait WithoutExits
{
    public function exits(): Exits
    {
        return new Exits();
    }
}
