<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Expected;

use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/**
 * What is promised of calls.
 *
 * @phpstan-sealed Rings|RingsNever|Hears|HearsNever|EndsWith|IsOverWithin
 */
interface Promise
{
    public static function fromJson(Input $in): static;

    /** @return array<string, mixed> with the promise's name under "that" */
    public function toJson(): array;

    /** @return list<Reference> */
    public function references(string $pointer): array;
}
