<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

/** For elements of which nothing is mentioned by itself. */
trait WithoutParts
{
    public function parts(): ?Parts
    {
        return null;
    }
}
