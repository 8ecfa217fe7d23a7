<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Routing\Lookup\HoursLookup;
use Meandros\Core\Routing\Lookup\InstantLookup;

/** Calls of some times, parted by what one of the things that they look up is then, as far as that tells them apart. */
final readonly class Branch
{
    /**
     * @param non-empty-array<int, non-empty-list<array{int, int}>> $times    when, in order, by the place of what is said of them
     * @param HoursLookup|InstantLookup|null                        $by       what parts them; null where they fare alike, or nothing that has a name tells them apart
     * @param list<array{non-empty-list<string>, self}>             $branches what is found, and the calls that find it; those that then fare alike are one
     */
    public function __construct(
        public array $times,
        public HoursLookup|InstantLookup|null $by = null,
        public array $branches = [],
    ) {}

    /** Equal for calls of other times that are parted in the same way and fare the same. */
    public function likeness(): string
    {
        $places = array_keys($this->times);
        sort($places);

        $said = null === $this->by ? $places : [Branching::of($this->by)];
        foreach ($this->branches as [$answers, $branch]) {
            $said[] = \sprintf('%s (%s)', implode(' ', $answers), $branch->likeness());
        }

        return implode(' ', $said);
    }

    /** The same of the times of both. */
    public function with(self $other): self
    {
        $times = $this->times;
        foreach ($other->times as $place => $more) {
            $times[$place] = Intervals::union([...$times[$place] ?? [], ...$more]) ?: $more;
        }
        $branches = array_map(
            static fn(array $one, array $also): array => [$one[0], $one[1]->with($also[1])],
            $this->branches,
            $other->branches,
        );

        return new self($times, $this->by, $branches);
    }
}
