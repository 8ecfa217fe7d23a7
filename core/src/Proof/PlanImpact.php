<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;

/** What another plan changes for the calls to all numbers; only those are looked at that may come to what differs. */
final class PlanImpact
{
    /** @var array<string, list<Change>> by what two numbers have in common before and after */
    private array $known = [];
    /** @var list<array{Number, Number}> before and after */
    public readonly array $numbers;

    /**
     * @param list<string> $ids            of the elements that differ
     * @param AllNumbers   $coverageBefore of the same stretch as $coverageAfter
     */
    public function __construct(
        Plan $before,
        Plan $after,
        array $ids,
        private readonly AllNumbers $coverageBefore,
        private readonly AllNumbers $coverageAfter,
    ) {
        $numbers = [];
        foreach (Touched::numbers($before, $ids) + Touched::numbers($after, $ids) as $id => $number) {
            $was = $before->get(Number::class, $id);
            $is = $after->get(Number::class, $id);
            // One that comes or goes has nobody whose calls fare differently.
            if (null !== $was && null !== $is && $was->number === $is->number) {
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
            $changes = $this->known[$alike] ??= Impact::between(
                $this->coverageBefore->of($was),
                $this->coverageAfter->of($is),
            );
            if ([] !== $changes) {
                $found[] = new Changed($is, $changes);
            }
        }

        return [$found, 0];
    }
}
