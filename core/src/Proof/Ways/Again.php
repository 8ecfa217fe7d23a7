<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\QueueState;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Walk;

/** Where calls come again to what can be stated but once, not everything is tried. */
final class Again
{
    /**
     * What a step asks again that was settled before, or twice: a queue, a phone that rings for somebody else, or
     * later than in the second in which it did not ring; null where there is no such thing.
     */
    public static function within(Stand $stand, Walk $walk, Assumptions $given): ?Untried
    {
        $stated = $stand->acts->stated;
        $asked = [];
        foreach (array_keys($stated->queues) as $queue) {
            $isGiven = isset($given->circumstances->queues[$queue]);
            $isFollowed = $stated->nobodyIsOn($queue) || ($stated->waitedInVain($queue) && !$isGiven);
            $isFollowed || ($asked[self::ofQueue($queue)] = '');
        }
        foreach ($walk->events() as $place => $event) {
            $what = $event->happening;
            $whom = $what instanceof Ringing ? (string) $what->target?->text() : '';
            $isAgent = $what instanceof Ringing && null !== $what->why->turn;
            if (!$isAgent && $what instanceof Ringing && self::ringsTwice($what)) {
                return Untried::PhoneAgain;
            }
            foreach ($what instanceof Ringing ? $what->rung : [] as $rung) {
                $kept = $stand->justNow->did[$rung->phone->id] ?? null;
                if (Behaviour::Rings === $kept?->does && $event->second === $stand->walk->second()) {
                    return Untried::PhoneAgain;
                }
                $isOfTwo = null !== $rung->times->rings && $whom !== ($asked[$rung->phone->id] ??= $whom);
                // Of others it is asked again what they do when they ring later.
                if ($isOfTwo && $isAgent) {
                    return Untried::PhoneOfTwo;
                }
            }
            $once = $what instanceof QueueEntered ? self::ofQueue((string) $what->queue) : null;
            if (null !== $once && (string) $place !== ($asked[$once] ??= (string) $place)) {
                return Untried::QueueAgain;
            }
        }

        return null;
    }

    /** Whether a phone fell silent, and was rung once more. */
    private static function ringsTwice(Ringing $what): bool
    {
        $rings = array_filter($what->rung, static fn(Rung $one): bool => null !== $one->times->rings);

        return \count(array_unique(array_map(static fn(Rung $one): string => $one->phone->id, $rings))) <
            \count($rings);
    }

    /**
     * Whether somebody who was free for a queue, and was asked, may be asked for it again, or for another: how they stand there
     * depends on both.
     *
     * @param array<string, true> $after elements to which calls may still come
     * @param array<string, true> $kept  those to which they come as their place is kept
     */
    public static function later(Run $run, array $after, array $kept): bool
    {
        $plan = $run->walk->plan;
        foreach (self::letIn($run->walk) as $queue) {
            $free = self::free($run->walk, $queue);
            foreach ([] === $free ? [] : array_keys($after + $kept) as $id) {
                foreach (Queue::askedIn($plan, (string) $id) as $member) {
                    if (isset($free[$member->who])) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /** @return array<string, true> people who are free, or will be; everybody who may be it where it is not said who */
    private static function free(Walk $walk, string $queue): array
    {
        $state = $walk->assumptions->circumstances->queues[$queue] ?? new QueueState();
        $free = [];
        foreach (Queue::askedIn($walk->plan, $queue) as $member) {
            $stated = $state->agents[$member->who] ?? null;
            null === (null === $stated ? $state->free : $stated->freeAfter) || ($free[$member->who] = true);
        }

        return $free;
    }

    /** @return list<string> queues that let the call in */
    private static function letIn(Walk $walk): array
    {
        $queues = [];
        foreach ($walk->events() as $event) {
            $what = $event->happening;
            if ($what instanceof QueueEntered && null !== $what->queue && null === $what->exit) {
                $queues[] = $what->queue;
            }
        }

        return $queues;
    }

    private static function ofQueue(string $id): string
    {
        return 'queue ' . $id;
    }
}
