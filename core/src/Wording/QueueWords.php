<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Element\AgentOrder;
use Meandros\Core\Plan\Step\QueueStep;
use Meandros\Core\Routing\Happening\PlaceTold;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\WaitedInVain;
use Meandros\Core\Routing\Waiting\Turn;

/** A wait in a queue, in words. */
final readonly class QueueWords
{
    public function __construct(private Names $names)
    {
    }

    public function entered(QueueEntered $entered): string
    {
        $queue = $this->names->of($entered->queue);

        return match (true) {
            null === $entered->queue => 'Waits in no queue',
            null === $entered->exit => \sprintf('Is let into %s, %s', $queue, self::ahead($entered->ahead)),
            default => \sprintf('Is not let into %s', $queue),
        };
    }

    public function whyEntered(QueueEntered $entered): string
    {
        return match (true) {
            null === $entered->queue => 'No queue is chosen.',
            QueueStep::NO_AGENTS === $entered->exit => 'Nobody is signed in.',
            QueueStep::FULL === $entered->exit => \sprintf('%d wait already, and no more are let in.', $entered->ahead),
            QueueStep::TOO_LONG === $entered->exit => \sprintf('The expected wait is longer than is allowed: %s', $this->expected($entered)),
            default => $this->expected($entered),
        };
    }

    public function told(PlaceTold $told): string
    {
        $parts = [];
        null === $told->position || $parts[] = \sprintf('number %d', $told->position);
        null === $told->expected || $parts[] = \sprintf('about %s to go', Duration::words($told->expected));

        return [] === $parts ? 'Hears that it takes a while' : 'Hears: '.implode(', ', $parts);
    }

    public function whyInVain(WaitedInVain $waited): string
    {
        return 0 === $waited->ahead ? 'Nobody took the call, and nobody may wait for longer.' : \sprintf('Still %s, and nobody may wait for longer.', self::ahead($waited->ahead));
    }

    /** Why an agent is asked; nothing where it is no agent's turn. */
    public function turn(?Turn $turn): string
    {
        if (null === $turn) {
            return '';
        }
        $tier = $turn->tier > 1 ? \sprintf(', of tier %d', $turn->tier) : '';
        if (1 === $turn->free) {
            return \sprintf('The only one who is free%s.', $tier);
        }
        $why = match ($turn->order) {
            AgentOrder::LongestIdle => \sprintf('has been idle longest, for %s', Duration::words($turn->figure)),
            AgentOrder::InOrder => 'comes first in the list',
            AgentOrder::RoundRobin => 'comes after whoever was asked last',
            AgentOrder::FewestCalls => \sprintf('took the fewest calls today, %d', $turn->figure),
            AgentOrder::LeastTalk => \sprintf('talked least today, %s', Duration::words($turn->figure)),
            AgentOrder::Random => 'is drawn by the seed',
            AgentOrder::AllAtOnce => null,
        };

        return null === $why ? \sprintf('All %d who are free.', $turn->free) : \sprintf('Of %d who are free the one who %s%s.', $turn->free, $why, $tier);
    }

    private static function ahead(int $callers): string
    {
        return 0 === $callers ? 'as the first' : \sprintf('%d ahead', $callers);
    }

    private function expected(QueueEntered $entered): string
    {
        return match ($entered->expected) {
            null => 'Nobody is signed in, so no wait can be expected.',
            0 => \sprintf('Somebody is free: %d signed in, nobody ahead.', $entered->signedIn),
            default => \sprintf('About %s to wait: (%d ahead + 1) × %s a call ÷ %d signed in.', Duration::words($entered->expected), $entered->ahead, Duration::words($entered->handling), $entered->signedIn),
        };
    }
}
