<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Filling\Facts;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Zone;

/** What fills the blanks of a prompt that is heard in a call. What depends on the clock narrows the stretch in which the trace holds. */
final class CallFacts implements Facts
{
    /** @param string|null $name of whoever is called; null for whoever rang last, else what was dialled */
    public function __construct(
        private readonly Walk $walk,
        private readonly Prompt $prompt,
        private readonly ?string $name,
    ) {}

    public function today(): int
    {
        $zone = $this->zone($this->now());
        $day = CivilDate::ofLocalSecond($zone->localOf($this->now()));
        $this->walk->holds($zone->midnightOf($day), $zone->midnightOf($day + 1));

        return $day;
    }

    public function nextOpening(): ?array
    {
        $hours = $this->hours();
        $opening = null === $hours ? null : $this->walk->nextOpening($hours);
        if (null === $opening) {
            return null;
        }
        $local = $this->zone($opening)->localOf($opening);
        $day = CivilDate::ofLocalSecond($local);

        return [$day, intdiv($local - $day * CivilDate::SECONDS_PER_DAY, 60)];
    }

    public function position(): ?int
    {
        return $this->walk->wait()?->position;
    }

    public function expectedWait(): ?int
    {
        return $this->walk->wait()?->expected;
    }

    public function name(): string
    {
        $target = $this->walk->lastRinging()?->target;
        $rang = null === $target?->element ? null : $this->walk->plan->find($target->element)?->name();

        return $this->name ?? ($rang ?? $this->walk->arrival()->shown->label);
    }

    private function hours(): ?Hours
    {
        return $this->walk->plan->get(Hours::class, $this->prompt->hours) ?? $this->walk->lastHours();
    }

    private function now(): int
    {
        return $this->walk->call->instant + $this->walk->second();
    }

    /** That of the hours that count, else of the site where the call came in; from now until an instant. */
    private function zone(int $until): Zone
    {
        $hours = $this->hours();
        $name =
            null === $hours
                ? $this->walk->plan->get(Site::class, $this->walk->arrival()->site)->zone ?? 'UTC'
                : $this->walk->zoneOf($hours);

        return Zone::over($name, $this->now(), $until);
    }
}
