<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Known;
use Meandros\Core\Proof\Year\YearChecks;
use Meandros\Server\Patience;

/** What is found in how all calls of the coming year fare. */
final readonly class YearFindings
{
    /** Seconds after which no further number is looked at while somebody waits. */
    private const WAITED = 8.0;

    public function __construct(
        private ComingYear $year,
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
        $stretch = $this->year->fromNextHour();
        $live = $this->year->live($plan);
        $fares = new Fares($plan, ...[...$stretch, $live]);
        $goOn = $this->patience->for(self::WAITED);

        return $this->known->with(
            'findings',
            $plan,
            $live,
            serialize($stretch),
            static fn(Known $known): array => YearChecks::in($fares, $goOn, $known),
        );
    }
}
