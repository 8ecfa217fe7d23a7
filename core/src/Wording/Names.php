<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Plan;

/** What people call the things that a trace mentions by id. */
final readonly class Names
{
    public function __construct(private Plan $plan)
    {
    }

    public function of(?string $id): string
    {
        if (null === $id) {
            return 'nobody';
        }

        return str_starts_with($id, '+') ? PhoneNumber::international($id) : $this->plan->find($id)?->name() ?? $id;
    }
}
