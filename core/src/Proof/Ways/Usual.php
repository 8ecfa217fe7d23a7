<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

/** What holds of most questions. */
trait Usual
{
    public function takesKey(): bool
    {
        return false;
    }

    public function areAll(Asking $at): bool
    {
        return true;
    }

    public function since(Asking $at): int
    {
        return $at->since;
    }
}
