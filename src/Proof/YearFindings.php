<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Known;
use Meandros\Core\Proof\Year\YearChecks;
use Meandros\Core\Time\CivilDate;
use Meandros\Server\Now;
use Meandros\Server\Patience;
use Meandros\Server\Storage\Live;

/** What is found in how all calls of the coming year fare. */
final readonly class YearFindings
{
    /** Seconds after which no further number is looked at while somebody waits. */
    private const WAITED = 8.0;
    private const DAYS = 366;
    private const HOUR = 3600;

    public function __construct(
        private Live $live,
        private Now $now,
        private Patience $patience,
        private WorkedOut $workedOut,
        private KnownNumbers $known,
    ) {}

    /** @return array{list<Finding>, int} and how many numbers there was no time to look at */
    public function in(Plan $plan): array
    {
        return $this->workedOut->of(
            'findings',
            [$plan],
            fn(): array => $this->look($plan),
            static fn(array $found): bool => 0 === $found[1],
        );
    }

    /** @return array{list<Finding>, int} */
    private function look(Plan $plan): array
    {
        // From the next full hour: until then, what is found of numbers goes on being known.
        $from = (intdiv($this->now->second(), self::HOUR) + 1) * self::HOUR;
        $live = $this->live->state($plan, $from);
        $fares = new Fares($plan, $from, $from + self::DAYS * CivilDate::SECONDS_PER_DAY, $live);
        $goOn = $this->patience->for(self::WAITED);

        return $this->known->with(
            'findings',
            $plan,
            $live,
            (string) $from,
            static fn(Known $known): array => YearChecks::in($fares, $goOn, $known),
        );
    }
}
