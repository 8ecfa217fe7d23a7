<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Lookup;

use Meandros\Core\Filling\Facts;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Zone;

/** What fills blanks at an instant; tells in which stretch around it the facts that were asked for stay the same. */
final class FactsAt implements Facts
{
    public ?int $since = null;
    public ?int $until = null;

    public function __construct(
        private readonly CallFacts $call,
        private readonly PlanHours $hours,
        private readonly int $now,
    ) {}

    public function today(): int
    {
        $zone = Zone::around($this->call->zone, $this->now);
        $day = CivilDate::ofLocalSecond($zone->localOf($this->now));
        $this->narrow($zone->midnightOf($day), $zone->midnightOf($day + 1));

        return $day;
    }

    public function nextOpening(): ?array
    {
        if (null === $this->call->hours) {
            return null;
        }
        $this->narrow($this->hours->held($this->call->hours, $this->now)[1], null);
        $opening = $this->hours->nextOpening($this->call->hours, $this->now);
        if (null === $opening) {
            return null;
        }
        $this->narrow(null, $opening);
        $local = Zone::around($this->call->zone, $opening)->localOf($opening);
        $day = CivilDate::ofLocalSecond($local);

        return [$day, intdiv($local - $day * CivilDate::SECONDS_PER_DAY, 60)];
    }

    public function position(): ?int
    {
        return $this->call->wait?->position;
    }

    public function expectedWait(): ?int
    {
        return $this->call->wait?->expected;
    }

    public function name(): string
    {
        return $this->call->name;
    }

    private function narrow(?int $since, ?int $until): void
    {
        $this->since = null === $since ? $this->since : max($this->since ?? $since, $since);
        $this->until = null === $until ? $this->until : min($this->until ?? $until, $until);
    }
}
