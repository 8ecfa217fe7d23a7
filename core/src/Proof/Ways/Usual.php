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

    public function untried(Asking $at): ?Untried
    {
        return null;
    }

    public function turn(Asking $at): int
    {
        return 0;
    }

    public function since(Asking $at): int
    {
        return $at->since;
    }
}
