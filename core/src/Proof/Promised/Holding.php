<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Intervals;
use Meandros\Core\Proof\Known;

/** Holds promises against every moment of a stretch: how the calls fare that they name. */
final readonly class Holding
{
    private HoldingOfOne $one;
    private int $from;
    private int $until;

    /**
     * @param Known|null $known of calls over the whole stretch of the fares, where phones ring on; null where nothing is known
     * @param int|null   $from  first instant that matters; null for the first one of the fares
     * @param int|null   $until first instant after those; null as well
     */
    public function __construct(
        private Fares $fares,
        private ?Known $known = null,
        ?int $from = null,
        ?int $until = null,
    ) {
        $this->one = new HoldingOfOne($fares);
        $this->from = $from ?? $fares->from;
        $this->until = $until ?? $fares->until;
    }

    /**
     * Where phones ring on.
     *
     * @param list<Expectation>        $expectations
     * @param \Closure(int, int): bool $goOn         asked before each number of which something is not known, first before those that are named: told how many were looked at, and of how many; whether there is time for it
     *
     * @return list<Held> one each
     */
    public function hold(array $expectations, \Closure $goOn): array
    {
        return $this->look(
            array_map(static fn(Expectation $one): Held => new Held($one, [], false, true, 0, false), $expectations),
            static fn(): array => [null],
            $goOn,
        );
    }

    /**
     * Also where all phones do something else, as far as a promise must be kept then: it takes three times as long.
     *
     * @param list<Held>               $held where they ring on
     * @param \Closure(int, int): bool $goOn as above
     *
     * @return list<Held> one each
     */
    public function whateverPhonesDo(array $held, \Closure $goOn): array
    {
        $found = $this->look($held, static fn(Expectation $one): array => Keepings::phones($one->promise), $goOn);

        // It does not make a promise one that was not looked at.
        return array_map(
            static fn(Held $one, Held $before): Held => new Held(
                $one->expectation,
                $one->breaches,
                $one->applies,
                $one->isComplete && $one->left === $before->left,
                $before->left,
                true,
            ),
            $found,
            $held,
        );
    }

    /**
     * Of calls to some numbers only, where phones ring on.
     *
     * @param list<Number> $numbers to which calls fare alike
     *
     * @return bool|null null where the promise is about none of them
     */
    public function isKeptOf(Expectation $expectation, array $numbers): ?bool
    {
        $to = $expectation->calls->to;
        $dialled = array_map(
            static fn(Number $one): string => $one->range->number,
            [] === $to ? $numbers : array_merge(...array_values($this->fares->numbers($to))),
        );
        $named = array_values(
            array_filter($numbers, static fn(Number $one): bool => \in_array($one->range->number, $dialled, true)),
        );

        return [] === $named
            ? null
            : [] === $this->cut($this->one->look($this->calls($expectation, $named, [null]), []), $named);
    }

    /**
     * @param list<Held>                                  $sofar
     * @param \Closure(Expectation): list<Behaviour|null> $phones what all of them do, each by itself; null for ringing on
     * @param \Closure(int, int): bool                    $goOn
     *
     * @return list<Held>
     */
    private function look(array $sofar, \Closure $phones, \Closure $goOn): array
    {
        $groups = $this->groups($sofar, $phones);
        $done = 0;
        foreach ($groups as $group) {
            $isTime = null;
            foreach ($group as [$i, $numbers]) {
                $held = $sofar[$i];
                $calls = $this->calls($held->expectation, $numbers, $phones($held->expectation));
                $look = fn(): Looked => $this->one->look($calls, $calls->doRing() ? [] : $held->breaches);
                $known = $calls->doRing() ? $this->known : null;
                $asked = null === $known ? '' : $this->one->asked($calls);
                if (true === $known?->has($numbers[0], $asked) || ($isTime ??= $goOn($done, \count($groups)))) {
                    // Whoever presses keys may dial somebody's extension or name, whom nothing on the way mentions.
                    $passes = [] !== ($held->expectation->calls->keys ?? []);
                    $looked = $known?->of($numbers[0], $asked, $look, $passes) ?? $look();
                    $sofar[$i] = $held->with($this->cut($looked, $numbers), [] !== $calls->callers, $looked->isAll);
                } else {
                    $sofar[$i] = $held->leaving(\count($numbers));
                }
            }
            ++$done;
        }

        return array_values(array_map(static fn(Held $one): Held => $one->inOrder(), $sofar));
    }

    /**
     * @param list<Held>                                  $sofar
     * @param \Closure(Expectation): list<Behaviour|null> $phones
     *
     * @return list<non-empty-list<array{int, non-empty-list<Number>}>> for numbers to which calls fare alike: which promises name them, and which of them; first those that are named one by one
     */
    private function groups(array $sofar, \Closure $phones): array
    {
        $groups = [];
        foreach ([false, true] as $ofAll) {
            foreach ($sofar as $i => $held) {
                $to = $held->expectation->calls->to;
                if ($ofAll === ([] === $to) && [] !== $phones($held->expectation)) {
                    foreach ($this->fares->numbers($to) as $alike => $numbers) {
                        $groups[$alike][] = [$i, $numbers];
                    }
                }
            }
        }

        return array_values($groups);
    }

    /**
     * @param non-empty-list<Number> $numbers
     * @param list<Behaviour|null>   $phones
     */
    private function calls(Expectation $expectation, array $numbers, array $phones): PromisedCalls
    {
        $isDue = Intervals::meet($this->one->times($expectation, $numbers[0]), $this->from, $this->until);

        return new PromisedCalls(
            $expectation,
            $numbers[0],
            $isDue ? $this->fares->callers($expectation->calls->from, $numbers[0]) : [],
            $phones,
        );
    }

    /**
     * @param Looked                 $looked  at one of them, over the whole stretch of the fares
     * @param non-empty-list<Number> $numbers to which calls fare alike
     *
     * @return list<Breach> in what matters of it
     */
    private function cut(Looked $looked, array $numbers): array
    {
        $cut = array_map(fn(Breach $one): ?Breach => $one->of($numbers, $this->from, $this->until), $looked->breaches);

        return array_values(array_filter($cut));
    }
}
