<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

/** For steps in which a caller or an answerer has a say, after which calls may go on, and that lead nowhere else. */
trait AsksSomebody
{
    public function letsPassUnasked(): bool
    {
        return false;
    }

    public function isLast(): bool
    {
        return false;
    }

    public function leadsTo(): null
    {
        return null;
    }
}
