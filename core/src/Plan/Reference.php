<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

/** A mention of one element in another: where it stands, what kinds may stand there, and what it is there for. */
final readonly class Reference
{
    /**
     * @param string      $pointer JSON Pointer within the element that mentions
     * @param list<Kind>  $allowed
     * @param string      $role    what the mentioned element does there, for people: "rings it", "plays it"
     * @param string|null $part    which of the mentioned element's parts is meant; null for the element itself
     */
    public function __construct(
        public string $id,
        public string $pointer,
        public array $allowed,
        public string $role,
        public ?string $part = null,
    ) {}
}
