<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Plan\Dialled;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Fares\Presses;

/** What another plan changes for the calls to all numbers; only those are looked at that may come to what differs. */
final class PlanImpact
{
    /**
     * @param list<array{Number, Number}> $numbers        that are looked at, before and after
     * @param AllNumbers                  $coverageBefore of the same stretch as $coverageAfter
     * @param array{Fares, Fares}|null    $fares          before and after: then calls from everybody who is told apart are looked at too, with whatever they press
     */
    public function __construct(
        public readonly array $numbers,
        private readonly AllNumbers $coverageBefore,
        private readonly AllNumbers $coverageAfter,
        private readonly ?array $fares,
    ) {}

    /**
     * Numbers of both plans whose calls may come to what differs, by name: those for which the same is dialled.
     *
     * @param list<string>|null $ids of the elements that differ; null where it is not known which do
     *
     * @return list<array{Number, Number}> before and after
     */
    public static function numbers(Plan $before, Plan $after, ?array $ids = null): array
    {
        $ids ??= self::differing($before, $after);
        $dialled = $toTarget = [];
        foreach ([$before, $after] as $plan) {
            foreach (Touched::numbers($plan, $ids) as $number => $one) {
                $dialled[] = $number;
                if ($one->target?->element === $plan->get(Number::class, $one->id())?->target?->element) {
                    $toTarget[$one->id()] = $one->id();
                }
            }
        }
        foreach ($toTarget as $id) {
            array_push($dialled, ...EachNumber::toTargets($before, $after, $id));
        }
        $numbers = [];
        foreach (array_unique($dialled) as $one) {
            $pair = self::pair($before, $after, $one);
            if (null !== $pair) {
                $numbers[$pair[1]->name() . "\n" . $one] = $pair;
            }
        }
        ksort($numbers);

        return array_values($numbers);
    }

    /**
     * Those for which the same is dialled.
     *
     * @param string $dialled E.164
     *
     * @return array{Number, Number}|null before and after; null where one of them is in one of the plans only
     */
    public static function pair(Plan $before, Plan $after, string $dialled): ?array
    {
        [$was, $is] = [EachNumber::in($before, $dialled), EachNumber::in($after, $dialled)];
        [$gone, $come] = [$before->get(Number::class, $was?->id()), $after->get(Number::class, $is?->id())];
        $areInBoth =
            null !== $gone &&
            null !== $come &&
            null !== self::counterpart($after, $gone) &&
            null !== self::counterpart($before, $come);

        return $areInBoth && null !== $was && null !== $is ? [$was, $is] : null;
    }

    /**
     * Numbers that the other plan does not have, or of which it has not all, by name: there is nothing to compare their calls with.
     *
     * @param list<string>|null $ids of the elements that differ; null where it is not known which do
     *
     * @return list<Number>
     */
    public static function onlyIn(Plan $plan, Plan $other, ?array $ids = null): array
    {
        $numbers = [];
        foreach ($ids ?? self::differing($plan, $other) as $id) {
            $number = $plan->get(Number::class, $id);
            $last = $number?->range->block?->last;
            $isWhole = null === $last || $other->dialled($last) instanceof Number;
            if (null !== $number && (null === self::counterpart($other, $number) || !$isWhole)) {
                $numbers[$number->name() . ' ' . $id] = $number;
            }
        }
        ksort($numbers);

        return array_values($numbers);
    }

    /** The number of a plan for which the same is dialled, or which is the same block with another end. */
    public static function counterpart(Plan $plan, Number $number): ?Number
    {
        $found = $plan->dialled(implode('', Dialled::by($number)));
        $own = $plan->get(Number::class, $number->id());

        return match (true) {
            $found instanceof Number && Dialled::by($found) === Dialled::by($number) => $found,
            $own?->range->number === $number->range->number => $own,
            default => null,
        };
    }

    /** @return list<string> ids of elements that only one of the plans has, or each another */
    private static function differing(Plan $before, Plan $after): array
    {
        $ids = array_map(strval(...), [...array_keys($before->elements()), ...array_keys($after->elements())]);
        $differs = static fn(string $id): bool => $before->find($id)?->toJson() !== $after->find($id)?->toJson();

        return array_values(array_filter(array_unique($ids), $differs));
    }

    /**
     * Also where all phones are busy, cannot be reached, or refuse: it takes four times as long.
     *
     * @param \Closure(int): bool $goOn asked before each number that has to be looked at, with its place; whether there is time for it
     *
     * @return array{list<Changed>, int} what was found, and how many numbers could not be looked at in full
     */
    public function findWhateverPhonesDo(\Closure $goOn): array
    {
        return $this->changed([Behaviour::Busy, Behaviour::Unreachable, Behaviour::Refuses], $goOn);
    }

    /**
     * Where phones ring on; as it is told, it is small enough to be kept.
     *
     * @template T
     *
     * @param \Closure(Number, non-empty-list<Change>): T $tell  in words that are the same for numbers that change alike
     * @param \Closure(int): bool                         $goOn  as above; not asked where it is known
     * @param Known|null                                  $known of the plan after, beside the plan before, over the same stretch; null where nothing is
     *
     * @return array{list<array{Number, T}>, int, int} what is told; how many numbers could not be looked at in full; and how many of them for want of time
     */
    public function find(\Closure $tell, \Closure $goOn, ?Known $known = null): array
    {
        $look = function (Number $was, Number $is) use ($tell): array {
            [$changes, $isAll] = $this->changes($was, $is, []);

            return [[] === $changes ? null : $tell($is, $changes), $isAll];
        };

        return $this->look(
            fn(Number $was, Number $is): array => $known?->of(
                $is,
                $this->alike($was, $is),
                static fn(): array => $look($was, $is),
            ) ?? $look($was, $is),
            $goOn,
            $known,
        );
    }

    /**
     * @param list<Behaviour>     $phones what all of them do, each by itself, besides ringing on
     * @param \Closure(int): bool $goOn
     *
     * @return array{list<Changed>, int}
     */
    private function changed(array $phones, \Closure $goOn): array
    {
        [$found, $left] = $this->look(function (Number $was, Number $is) use ($phones): array {
            [$changes, $isAll] = $this->changes($was, $is, $phones);

            return [[] === $changes ? null : $changes, $isAll];
        }, $goOn);

        return [array_map(static fn(array $one): Changed => new Changed(...$one), $found), $left];
    }

    /**
     * @template T
     *
     * @param \Closure(Number, Number): array{T|null, bool} $at   what is found of a number, before and after; and whether that is all
     * @param \Closure(int): bool                           $goOn
     *
     * @return array{list<array{Number, T}>, int, int}
     */
    private function look(\Closure $at, \Closure $goOn, ?Known $known = null): array
    {
        /** @var array<string, array{T|null, bool}> $looked of numbers to which calls fare alike */
        $looked = [];
        $found = [];
        [$unlooked, $inPart] = [0, 0];
        foreach ($this->numbers as $i => [$was, $is]) {
            $alike = $this->alike($was, $is);
            if (!isset($looked[$alike]) && true !== $known?->has($is, $alike) && !$goOn($i)) {
                ++$unlooked;
                continue;
            }
            [$one, $isAll] = $looked[$alike] ??= $at($was, $is);
            null === $one || ($found[] = [$is, $one]);
            $inPart += $isAll ? 0 : 1;
        }

        return [$found, $unlooked + $inPart, $unlooked];
    }

    private function alike(Number $was, Number $is): string
    {
        return hash('xxh128', $this->coverageBefore->alike->of($was) . ' ' . $this->coverageAfter->alike->of($is));
    }

    /**
     * @param list<Behaviour> $phones
     *
     * @return array{list<Change>, bool} the worst first; and whether these are all
     */
    private function changes(Number $was, Number $is, array $phones): array
    {
        $changes = Impact::between($this->coverageBefore->of($was), $this->coverageAfter->of($is));
        $areAll = true;
        foreach ([null, ...$phones] as $does) {
            [$byKeys, $isAll] = $this->byKeys($was, $is, $does);
            array_push($changes, ...$byKeys);
            $areAll = $areAll && $isAll;
        }

        return [Impact::worstFirst($changes), $areAll];
    }

    /**
     * Those that callers notice who press something, or are told apart, and nobody else; or those that everybody notices only
     * where phones do something else than ring on.
     *
     * @return array{list<Change>, bool} and whether these are all
     */
    private function byKeys(Number $was, Number $is, ?Behaviour $phones): array
    {
        if (null === $this->fares) {
            return [[], true];
        }
        [$before, $after] = $this->fares;
        $changes = [];
        $areAll = true;
        foreach ($after->callers([], $is) as $i => $caller) {
            $known = [];
            [$pressed, $isAll] = $before->presses($was, $caller, $phones);
            [$now, $isAllNow] = $after->presses($is, $caller, $phones);
            $areAll = $areAll && $isAll && $isAllNow;
            foreach ([...$pressed, ...$now] as $keys) {
                $known[implode(' ', $keys)] ??= $keys;
            }
            foreach ($known as $keys) {
                $between = static fn(?Behaviour $does): array => Impact::between(
                    $before->coverage($was, $caller, $keys, $does),
                    $after->coverage($is, $caller, $keys, $does),
                );
                foreach (null === $phones ? $between(null) : self::besides($between, $phones) as $change) {
                    $isPressed = Presses::areTaken($change->before, $keys) || Presses::areTaken($change->after, $keys);
                    if ($isPressed && ([] !== $keys || $i > 0 || null !== $phones)) {
                        $changes[] = $change->by(new CallsOf($keys, 0 === $i ? '' : $caller->text, $phones));
                    }
                }
            }
        }

        return [$changes, $areAll];
    }

    /**
     * Changes at times at which there is none where phones ring on. There, calls come to the same steps later: what they notice in
     * calls that begin so much earlier, or end so much later, is told.
     *
     * @param \Closure(?Behaviour): list<Change> $between
     *
     * @return list<Change>
     */
    private static function besides(\Closure $between, Behaviour $phones): array
    {
        $changes = $between($phones);
        $told = [];
        foreach ([] === $changes ? [] : $between(null) as $change) {
            $longest = max($change->before->trace->seconds, $change->after->trace->seconds);
            foreach ($change->intervals as [$since, $until]) {
                $told[] = [$since - $longest, $until + $longest];
            }
        }
        $besides = [];
        foreach ($changes as $change) {
            $times = Intervals::without($change->intervals, $told);
            [] === $times || ($besides[] = $change->at($times, $phones));
        }

        return $besides;
    }
}
