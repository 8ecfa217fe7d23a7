<?php

declare(strict_types=1);

namespace Meandros\Core\Directory;

use Meandros\Core\Plan\Element\Person;

/** How somebody is reached by whoever spells their name. */
final readonly class Reached
{
    /**
     * @param string       $keys    that spell it
     * @param int|null     $presses that it takes, with the one that chooses among several; null where they are never read out
     * @param list<Person> $alike   others who are left after these keys
     */
    public function __construct(
        public Person $person,
        public string $keys,
        public ?int $presses,
        public array $alike,
    ) {}
}
