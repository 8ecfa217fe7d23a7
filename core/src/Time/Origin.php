<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

use Meandros\Core\Value\Handed;

/** Where a decision comes from: a special day, a holiday of a calendar, or an override; empty for the week. */
final readonly class Origin
{
    use Handed;

    /**
     * @param string|null $name   of the special day or the holiday; the reason of an override
     * @param string|null $source id of the holiday calendar or the override
     * @param string|null $of     name of the holiday calendar, or who set the override
     * @param int|null    $ends   the instant at which the override ends; null until somebody lifts it
     */
    public function __construct(
        public ?string $name = null,
        public ?string $source = null,
        public ?string $of = null,
        public ?int $ends = null,
    ) {}
}
