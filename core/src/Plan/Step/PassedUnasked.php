<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

/** For steps that a call comes past with nobody asked and nobody rung, and that lead nowhere else. */
trait PassedUnasked
{
    public function letsPassUnasked(): bool
    {
        return true;
    }

    public function isLast(): bool
    {
        return false;
    }

    public function leadsTo(): null
    {
        return null;
    }

    public function takenBy(): null
    {
        return null;
    }
}
