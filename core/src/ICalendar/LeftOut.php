<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

/** Something that an import does not take over, and why. */
final readonly class LeftOut
{
    public function __construct(public string $what, public string $why) {}

    /** @return array{what: string, why: string} */
    public function toJson(): array
    {
        return ['what' => $this->what, 'why' => $this->why];
    }
}
