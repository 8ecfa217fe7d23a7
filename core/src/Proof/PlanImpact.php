<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Fares\Presses;

/** What another plan changes for the calls to all numbers; only those are looked at that may come to what differs. */
final class PlanImpact
{
    /** @var array<string, list<Change>> by what two numbers have in common before and after */
    private array $known = [];
    /** @var list<array{Number, Number}> before and after */
    public readonly array $numbers;

    /**
     * @param list<string>             $ids            of the elements that differ
     * @param AllNumbers               $coverageBefore of the same stretch as $coverageAfter
     * @param array{Fares, Fares}|null $fares          before and after: then calls from everybody who is told apart are looked at too, with whatever they press
     */
    public function __construct(
        Plan $before,
        Plan $after,
        array $ids,
        private readonly AllNumbers $coverageBefore,
        private readonly AllNumbers $coverageAfter,
        private readonly ?array $fares = null,
    ) {
        $numbers = [];
        foreach (Touched::numbers($before, $ids) + Touched::numbers($after, $ids) as $id => $number) {
            $was = $before->get(Number::class, $id);
            $is = $after->get(Number::class, $id);
            // One that comes or goes has nobody whose calls fare differently.
            if (null !== $was && null !== $is && $was->range->number === $is->range->number) {
                $numbers[$is->name() . ' ' . $id] = [$was, $is];
            }
        }
        ksort($numbers);
        $this->numbers = array_values($numbers);
    }

    /**
     * @param \Closure(int): bool $goOn asked before each number that has to be looked at, with how many were; whether there is time for it
     *
     * @return array{list<Changed>, int} what was found, and how many numbers could not be looked at
     */
    public function find(\Closure $goOn): array
    {
        $found = [];
        foreach ($this->numbers as $i => [$was, $is]) {
            $alike = AllNumbers::alike($was) . ' ' . AllNumbers::alike($is);
            if (!isset($this->known[$alike]) && !$goOn($i)) {
                return [$found, \count($this->numbers) - $i];
            }
            $changes = $this->known[$alike] ??= Impact::worstFirst([
                ...Impact::between($this->coverageBefore->of($was), $this->coverageAfter->of($is)),
                ...$this->byKeys($was, $is),
            ]);
            if ([] !== $changes) {
                $found[] = new Changed($is, $changes);
            }
        }

        return [$found, 0];
    }

    /** @return list<Change> those that callers notice who press something, or are told apart, and nobody else */
    private function byKeys(Number $was, Number $is): array
    {
        if (null === $this->fares) {
            return [];
        }
        [$before, $after] = $this->fares;
        $changes = [];
        foreach ($after->callers([], $is) as $i => $caller) {
            $known = [];
            foreach ([...$before->presses($was, $caller)[0], ...$after->presses($is, $caller)[0]] as $keys) {
                $known[implode(' ', $keys)] ??= $keys;
            }
            foreach ($known as $keys) {
                $found = Impact::between(
                    $before->coverage($was, $caller, $keys),
                    $after->coverage($is, $caller, $keys),
                );
                foreach ($found as $change) {
                    $isPressed = Presses::areTaken($change->before, $keys) || Presses::areTaken($change->after, $keys);
                    if ($isPressed && ([] !== $keys || $i > 0)) {
                        $changes[] = $change->by($keys, 0 === $i ? '' : $caller->text);
                    }
                }
            }
        }

        return $changes;
    }
}
