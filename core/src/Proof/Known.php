<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Plan\Mark;
use Meandros\Core\Plan\Plan;

/**
 * What was found of the calls to each number, for whoever looks again. After an edit it is still so of the numbers that do not come
 * to what was changed: they need not be looked at anew.
 */
final class Known
{
    /** @var array<string, array<string, mixed>> by what is dialled, and what was asked of it */
    private array $found = [];
    /** @var array<string, array<string, mixed>> the same, of what may depend on anything of the plan */
    private array $passing = [];
    /** Equal where all that calls depend on and that nobody mentions is the same. */
    private readonly string $around;
    /** @var array<string, string> what is dialled, by number of the plan */
    private readonly array $dialled;
    private readonly ?Mark $mark;

    /** @param string $asked whatever else it depends on */
    public function __construct(Plan $plan, private readonly LiveState $live, string $asked)
    {
        $dialled = $many = [];
        foreach ($plan->all(Number::class) as $number) {
            $dialled[$number->id()] = $number->range->number;
            $number->range->isMany() && ($many[$number->id()] = $number->range);
        }
        $lines = array_map(static fn(OutsideLine $line): string => $line->id(), $plan->all(OutsideLine::class));
        $this->dialled = $dialled;
        $this->mark = $plan->mark();
        $this->around = hash('xxh128', serialize([$asked, $many, $lines]));
    }

    /**
     * What is still so of what was known before.
     *
     * @param string    $asked  whatever else it depends on
     * @param Plan|null $beside another plan that it depends on as well, and that is what it was then
     */
    public static function after(?self $before, Plan $plan, LiveState $live, string $asked, ?Plan $beside = null): self
    {
        return null === $before?->mark
            ? new self($plan, $live, $asked)
            : $before->since($plan, $live, $asked, $plan->changedSince($before->mark), $beside);
    }

    /**
     * The same, where it is known what changed.
     *
     * @param list<string>|null $changed elements that are others now than they were then, by id; null where that is not known
     * @param Plan|null         $beside  another plan that it depends on as well, and that is what it was then
     */
    public function since(Plan $plan, LiveState $live, string $asked, ?array $changed, ?Plan $beside = null): self
    {
        $now = new self($plan, $live, $asked);
        if (null === $changed || $now->around !== $this->around) {
            return $now;
        }
        $forced = $live->differing($this->live);
        array_push($changed, ...$forced);
        // Who called a number that is gone, or is another one now, calls outside now.
        foreach (array_diff_assoc($this->dialled, $now->dialled) as $dialled) {
            array_push($changed, ...array_keys($plan->mentioning($dialled)));
        }
        $now->passing = [] === $changed ? $this->passing : [];
        $now->found = array_diff_key(
            $this->found,
            Touched::numbers($plan, $changed),
            null === $beside ? [] : Touched::numbers($beside, $forced),
        );

        return $now;
    }

    public function has(Number $number, string $what): bool
    {
        $dialled = $number->range->number;

        return isset($this->found[$dialled][$what]) || isset($this->passing[$dialled][$what]);
    }

    /**
     * @template T
     *
     * @param Number        $number as EachNumber takes them apart
     * @param string        $what   is asked: all that it depends on but the calls
     * @param \Closure(): T $look   not null
     * @param bool          $passes whether it is forgotten with any edit: it may depend on what the calls do not come to by themselves
     *
     * @return T
     */
    public function of(Number $number, string $what, \Closure $look, bool $passes = false): mixed
    {
        $dialled = $number->range->number;
        /** @var T $found */
        $found = $passes ? ($this->passing[$dialled][$what] ??= $look()) : ($this->found[$dialled][$what] ??= $look());

        return $found;
    }
}
