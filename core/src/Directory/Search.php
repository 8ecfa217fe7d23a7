<?php

declare(strict_types=1);

namespace Meandros\Core\Directory;

use Meandros\Core\Plan\Element\Person;

/** Whom the keys stand for, and why no more of them were read. */
final readonly class Search
{
    /** @param list<Person> $people by name */
    public function __construct(public string $typed, public array $people, public Stop $stop) {}

    /**
     * For how long keys are read: a second for each after the first, then as long as another may follow.
     *
     * @param int $digitSeconds for which another one is waited for
     */
    public function seconds(int $digitSeconds): int
    {
        return \strlen($this->typed) -
            1 +
            match ($this->stop) {
                Stop::Hash => 1,
                Stop::Silence => $digitSeconds,
                Stop::One, Stop::Letters, Stop::Nobody => 0,
            };
    }
}
