<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Routing\EndingKind;

/** Calls that nobody answers end because no step is left: hanging up was nobody's decision. */
final class CallsRunOut implements CallCheck
{
    /** @var array<string, Number> the first number, by the journey in which it happens, else by what is dialled */
    private array $where = [];

    public function see(Seen $seen, Fares $fares): void
    {
        $trace = $seen->course->trace;
        if (EndingKind::RanOut === $trace->ending->kind) {
            $last = $trace->passage->visits[\count($trace->passage->visits) - 1] ?? null;
            $this->where[$last->journey ?? $seen->number->range->number] ??= $seen->number;
        }
    }

    public function add(CallCheck $one, array $numbers): void
    {
        \assert($one instanceof self);
        $this->where += $one->where;
    }

    public function found(Fares $fares): iterable
    {
        foreach ($this->where as $id => $number) {
            $journey = $fares->plan->get(Journey::class, $id);
            $person = $this->whose($number, $fares->plan);
            yield match (true) {
                null !== $journey => Finding::warning($journey, '/steps', 'calls-run-out', [
                    'number' => $number->name(),
                ]),
                null !== $person => Finding::warning($person, '/mailbox', 'direct-line-runs-out', [
                    'number' => PhoneNumber::international($number->range->number),
                ]),
                default => Finding::warning($number, '/target', 'number-runs-out'),
            };
        }
    }

    /** Who has a number of a block by the extension. */
    private function whose(Number $number, Plan $plan): ?Person
    {
        $target = $number->target?->element;

        return $plan->get(Number::class, $number->id())?->target?->element === $target
            ? null
            : $plan->get(Person::class, $target);
    }
}
