<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Routing\EndingKind;

/** Calls that nobody answers end because no step is left: hanging up was nobody's decision. */
final class CallsRunOut implements YearCheck
{
    /** @var array<string, Number> the first number, by the journey in which it happens, else by the number */
    private array $where = [];

    public function see(Seen $seen, Fares $fares): void
    {
        $trace = $seen->course->trace;
        if (EndingKind::RanOut === $trace->ending->kind) {
            $last = $trace->passage->visits[\count($trace->passage->visits) - 1] ?? null;
            $this->where[$last->journey ?? $seen->numbers[0]->id()] ??= $seen->numbers[0];
        }
    }

    public function found(Fares $fares): iterable
    {
        foreach ($this->where as $id => $number) {
            $journey = $fares->plan->get(Journey::class, $id);
            yield null === $journey
                ? Finding::warning($number, '/target', 'number-runs-out')
                : Finding::warning($journey, '/steps', 'calls-run-out', ['number' => $number->name()]);
        }
    }
}
