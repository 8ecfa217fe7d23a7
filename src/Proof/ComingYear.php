<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Time\CivilDate;
use Meandros\Server\Now;
use Meandros\Server\Storage\Live;

/** The calls that are looked at: those of a year and a day from now on, with what is live now. */
final readonly class ComingYear
{
    private const DAYS = 366;
    private const HOUR = 3600;

    public function __construct(private Now $now, private Live $live) {}

    /** @return array{int, int} first instant, and first instant after it */
    public function fromNow(): array
    {
        return self::from($this->now->second());
    }

    /** @return array{int, int} the same from the next full hour: until then it is the same, and what is found of it goes on being known */
    public function fromNextHour(): array
    {
        return self::from($this->thisHour() + self::HOUR);
    }

    /** @return array{int, int} the same from the last full hour, with what is over */
    public function fromThisHour(): array
    {
        return self::from($this->thisHour());
    }

    /** @return array{int, int} the same in whole days (UTC), all of it: until the day is over it is the same */
    public function inDays(): array
    {
        [$from, $until] = $this->fromNow();
        $day = static fn(int $second): int => $second - ($second % CivilDate::SECONDS_PER_DAY);

        return [$day($from), $day($until) + CivilDate::SECONDS_PER_DAY];
    }

    /** @param int $until first instant after it */
    public function isToCome(int $until): bool
    {
        return $until > $this->now->second();
    }

    public function live(Plan $plan): LiveState
    {
        return $this->live->state($plan, $this->now->second());
    }

    private function thisHour(): int
    {
        return $this->now->second() - ($this->now->second() % self::HOUR);
    }

    /** @return array{int, int} */
    private static function from(int $second): array
    {
        return [$second, $second + self::DAYS * CivilDate::SECONDS_PER_DAY];
    }
}
