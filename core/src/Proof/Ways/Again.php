<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\AgentState;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Routing\Happening\ParkedAt;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Walk;

/** Where calls come again to what can be stated but once, not everything is tried. */
final class Again
{
    /**
     * What a step asks again that was settled before, or twice: a queue, a parked call, a phone that rings for somebody else, or
     * later than in the second in which it did not ring; null where there is no such thing.
     */
    public static function within(Stand $stand, Walk $walk): ?Untried
    {
        $stated = $stand->acts->stated;
        $asked = [];
        foreach (array_keys($stated->queues) as $queue) {
            $isFollowed = $stated->waitedInVain($queue) || $stated->nobodyIsOn($queue);
            $isFollowed || ($asked[self::ofQueue($queue)] = '');
        }
        if (null !== $stand->acts->stated->parked) {
            $asked[ParkedAt::class] = '';
        }
        foreach ($walk->events() as $place => $event) {
            $what = $event->happening;
            $whom = $what instanceof Ringing ? (string) $what->target?->text() : '';
            $isAgent = $what instanceof Ringing && null !== $what->why->turn;
            foreach ($what instanceof Ringing ? $what->rung : [] as $rung) {
                $kept = $stand->now[$rung->phone->id] ?? null;
                if (Behaviour::Rings === $kept?->does && $event->second === $stand->walk->second()) {
                    return Untried::PhoneAgain;
                }
                $isOfTwo = null !== $rung->times->rings && $whom !== ($asked[$rung->phone->id] ??= $whom);
                // Of others it is asked again what they do when they ring later.
                if ($isOfTwo && $isAgent) {
                    return Untried::PhoneOfTwo;
                }
            }
            $once = match (true) {
                $what instanceof QueueEntered => self::ofQueue((string) $what->queue),
                $what instanceof ParkedAt => ParkedAt::class,
                default => null,
            };
            if (null !== $once && (string) $place !== ($asked[$once] ??= (string) $place)) {
                return ParkedAt::class === $once ? Untried::ParkedAgain : Untried::QueueAgain;
            }
        }

        return null;
    }

    /**
     * Whether somebody who was free for a queue may be asked for it again, or for another: how they stand there depends on both.
     *
     * @param array<string, true> $after elements to which calls may still come
     */
    public static function later(Plan $plan, Acts $acts, array $after): bool
    {
        foreach ($acts->stated->queues as $state) {
            $free = array_filter($state->agents, static fn(AgentState $one): bool => null !== $one->freeAfter);
            foreach ([] === $free ? [] : array_keys($after) as $id) {
                foreach ($plan->get(Queue::class, (string) $id)?->agents->asked() ?? [] as $member) {
                    if (isset($free[$member->who])) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    private static function ofQueue(string $id): string
    {
        return 'queue ' . $id;
    }
}
