<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Element\About;
use Meandros\Core\Reading\Input;

/**
 * One part of a plan: a plain value, with its shape in JSON. Ids are stable and never shown; names are for people.
 */
interface Element
{
    public static function fromJson(Input $in): static;

    public function about(): About;

    public function id(): string;

    public function kind(): Kind;

    /** What people call it. */
    public function name(): string;

    /** @return array<string, mixed> the element's JSON, in canonical field order */
    public function toJson(): array;

    /** @return list<Reference> every mention of another element */
    public function references(): array;

    /** What others may mention within it; null where there is nothing of the kind. */
    public function parts(): ?Parts;
}
