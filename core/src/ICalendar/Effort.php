<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

/** What may be spent on one calendar file: about a day looked at is one, and some hundred thousand of them take a second. */
final class Effort
{
    private const FOR_A_FILE = 400_000;

    private int $left = self::FOR_A_FILE;

    /** @throws \InvalidArgumentException when it is used up */
    public function spend(int $units): void
    {
        $this->left -= $units;
        if ($this->left < 0) {
            throw new \InvalidArgumentException(
                'with it the file names more times than can be worked out at once; export a shorter period, or fewer events',
            );
        }
    }
}
