<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Value\Lists;

/** The years in which a holiday is kept: from one, to another, and not in some. */
final readonly class Years
{
    /** @param list<int> $except */
    public function __construct(public ?int $from = null, public ?int $to = null, public array $except = []) {}

    public function contain(int $year): bool
    {
        return $year >= ($this->from ?? $year) && $year <= ($this->to ?? $year) && !Lists::has($this->except, $year);
    }

    /** Whether a rule has a day in any of them; one that goes on for ever is looked at from its first year on. */
    public function allow(HolidayRule $rule): bool
    {
        if (null === $this->from && null === $this->to && [] === $this->except) {
            return true;
        }
        $last = $rule->lastDay();
        $to = $this->to ?? (null === $last ? CivilDate::LAST_YEAR : CivilDate::year($last));
        for ($year = $this->from ?? CivilDate::FIRST_YEAR; $year <= $to; ++$year) {
            if ($this->contain($year) && [] !== $rule->daysIn($year)) {
                return true;
            }
        }

        return false;
    }

    /** @return array{from: int|null, to: int|null, except: list<int>} */
    public function toJson(): array
    {
        return ['from' => $this->from, 'to' => $this->to, 'except' => $this->except];
    }
}
