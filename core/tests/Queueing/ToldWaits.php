<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Queueing;

use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\EventWords;

/** A queue "Desk" of Ann and Ben that leads on to a mailbox, and its waits in words. */
trait ToldWaits
{
    /** @param array<string, mixed> $queue */
    private static function plan(array $queue): PlanBuilder
    {
        return (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->person('cid')
            ->prompt('prm_hello', 4)
            ->mailbox('mbx')
            ->with(
                $queue + [
                    'id' => 'que',
                    'kind' => 'queue',
                    'name' => 'Desk',
                    'members' => [['who' => 'ann'], ['who' => 'ben']],
                ],
            )
            ->journey('jrn_main', [
                ['id' => 'wait', 'do' => 'queue', 'queue' => 'que'],
                ['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx'],
            ]);
    }

    /** @return list<string> */
    private static function told(PlanBuilder $plan, Trace $trace): array
    {
        $words = new EventWords($plan->plan());

        return array_values(
            array_map(
                static fn(Event $event): string => $event->second . ' ' . $words->what($event->happening),
                \array_slice(
                    $trace->passage->events,
                    1,
                    'answered' === $trace->ending->kind->value
                        ? -1
                        : ('message' === $trace->ending->kind->value
                            ? -1
                            : null),
                ),
            ),
        );
    }
}
