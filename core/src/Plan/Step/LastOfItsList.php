<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Plan;

/** For steps after which nothing of their list comes, which are whole as they are and mention nothing. */
trait LastOfItsList
{
    public function references(string $pointer): array
    {
        return [];
    }

    public function unfinished(): null
    {
        return null;
    }

    public function letsPassUnasked(): bool
    {
        return false;
    }

    public function isLast(): bool
    {
        return true;
    }

    public function leadsTo(): null
    {
        return null;
    }

    public function takenBy(): null
    {
        return null;
    }

    public function waysOn(Plan $plan): array
    {
        return [];
    }
}
