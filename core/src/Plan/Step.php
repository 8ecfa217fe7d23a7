<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Json\Input;
use Meandros\Core\Plan\Step\Exits;

/** One thing that happens in a journey: a plain value, with its shape in JSON. */
interface Step
{
    public static function fromJson(Input $in): static;

    public function id(): string;

    public function exits(): Exits;

    /** @return array<string, mixed> */
    public function toJson(): array;

    /** @return list<Reference> mentions in the step itself, not in its exits */
    public function references(string $pointer): array;
}
