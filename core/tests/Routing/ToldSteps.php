<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Routing\Event;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\EventWords;

/** What happens in a call, a line each: the second and the words, without what was dialled and how it ended. */
trait ToldSteps
{
    /**
     * @param array<string, mixed> $assume
     *
     * @return list<string>
     */
    private static function told(PlanBuilder $plan, array $assume, string $from = ''): array
    {
        $words = new EventWords($plan->plan());

        return array_map(
            static fn(Event $event): string => $event->second . ' ' . $words->what($event->happening),
            \array_slice($plan->call($assume, from: $from)->passage->events, 1, -1),
        );
    }
}
