<?php

declare(strict_types=1);

namespace Meandros\Core\Directory;

use Meandros\Core\Plan\Element\Person;

/** Whom the keys stand for, and why no more of them were read. */
final readonly class Search
{
    /** @param list<Person> $people by name */
    public function __construct(public string $typed, public array $people, public Stop $stop) {}
}
