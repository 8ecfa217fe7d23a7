<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Target;
use Meandros\Core\Routing\Happening\CodeDialled;

/** What people call the things that a trace mentions by id. */
final readonly class Names
{
    public function __construct(private Plan $plan) {}

    public function of(?string $id): string
    {
        if (null === $id) {
            return 'nobody';
        }

        return str_starts_with($id, '+') ? PhoneNumber::international($id) : $this->plan->find($id)?->name() ?? $id;
    }

    public function target(?Target $target): string
    {
        return $this->of($target->number ?? $target?->element);
    }

    public function kind(string $id): ?Kind
    {
        return $this->plan->kindOf($id);
    }

    public function state(string $hours, string $key): string
    {
        return $this->plan->get(Hours::class, $hours)?->states->find($key)->name ?? $key;
    }

    /** What a code does. */
    public function code(CodeDialled $dialled): string
    {
        $hours = $this->of($dialled->hours);

        return match (true) {
            !$dialled->allowed => \sprintf('tries to force %s from outside', $hours),
            null === $dialled->code->state => \sprintf('lifts what is forced on %s', $hours),
            default => \sprintf('forces %s into “%s”', $hours, $this->state($dialled->hours, $dialled->code->state)),
        };
    }
}
