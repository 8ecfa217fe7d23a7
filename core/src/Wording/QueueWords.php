<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Call\SignIn;
use Meandros\Core\Plan\Element\AgentOrder;
use Meandros\Core\Plan\Step\QueueStep;
use Meandros\Core\Routing\Happening\CallbackClosed;
use Meandros\Core\Routing\Happening\CallbackOffered;
use Meandros\Core\Routing\Happening\CallbackTaken;
use Meandros\Core\Routing\Happening\CallbackTried;
use Meandros\Core\Routing\Happening\LeftByKey;
use Meandros\Core\Routing\Happening\MusicBegins;
use Meandros\Core\Routing\Happening\NoticeSent;
use Meandros\Core\Routing\Happening\PlaceTold;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\QueueHappening;
use Meandros\Core\Routing\Happening\SignedByCode;
use Meandros\Core\Routing\Happening\SignedOutForMissing;
use Meandros\Core\Routing\Happening\WaitedInVain;
use Meandros\Core\Routing\Happening\WordHeard;
use Meandros\Core\Routing\Waiting\Turn;

/** A wait in a queue, in words. */
final readonly class QueueWords
{
    public function __construct(private Names $names) {}

    public function what(QueueHappening $happening): string
    {
        return match (true) {
            $happening instanceof QueueEntered => $this->entered($happening),
            $happening instanceof MusicBegins => \sprintf(
                'Hears music: %s',
                implode(
                    ', ',
                    array_map(
                        fn(string $piece): string => \sprintf('“%s”', $this->names->of($piece)),
                        $happening->pieces,
                    ),
                ),
            ),
            $happening instanceof PlaceTold => self::told($happening),
            $happening instanceof NoticeSent => \sprintf('A notice goes to %s', implode(', ', $happening->to)),
            $happening instanceof SignedOutForMissing => \sprintf(
                '%s is signed out of %s',
                $this->names->of($happening->who),
                $this->names->of($happening->queue),
            ),
            $happening instanceof WordHeard => \sprintf('The agent hears “%s”', $this->names->of($happening->prompt)),
            $happening instanceof LeftByKey => \sprintf(
                'Presses %s and leaves %s',
                $happening->key,
                $this->names->of($happening->queue),
            ),
            $happening instanceof WaitedInVain => \sprintf(
                'Has waited in %s for %s',
                $this->names->of($happening->queue),
                Duration::words($happening->seconds),
            ),
            $happening instanceof CallbackOffered => \sprintf(
                'Hears that %s keeps the place%s',
                $happening->key,
                null === $happening->prompt ? '' : \sprintf(': “%s”', $this->names->of($happening->prompt)),
            ),
            $happening instanceof CallbackTaken => \sprintf(
                '%s the place and is to be called back on %s',
                null === $happening->key ? 'Keeps' : \sprintf('Presses %s, keeps', $happening->key),
                $this->names->of($happening->number),
            ),
            $happening instanceof CallbackTried => \sprintf(
                'Is called back on %s%s',
                $this->names->of($happening->route->number),
                $happening->taken
                    ? \sprintf(', and answers after %s', Duration::words($happening->seconds))
                    : \sprintf(' for %s in vain', Duration::words($happening->seconds)),
            ),
            $happening instanceof CallbackClosed => \sprintf(
                '%s: %s, so nobody is called back',
                $this->names->of($happening->hours),
                $this->names->state($happening->hours, $happening->reading->state),
            ),
            $happening instanceof SignedByCode => ucfirst($this->signs($happening)),
        };
    }

    public function because(QueueHappening $happening): string
    {
        return match (true) {
            $happening instanceof QueueEntered => $this->whyEntered($happening),
            $happening instanceof MusicBegins => $happening->shuffled
                ? 'In an order drawn by the seed; what is announced is heard over it.'
                : 'In order, then again from the first; what is announced is heard over it.',
            $happening instanceof PlaceTold => 'The queue announces it every so often; it is counted at this second.',
            $happening instanceof NoticeSent => \sprintf(
                'Somebody has waited for %s, which is the longest that is tolerated.',
                Duration::words($happening->seconds),
            ),
            $happening instanceof SignedOutForMissing => \sprintf('%d missed one after the other.', $happening->missed),
            $happening instanceof WordHeard => \sprintf(
                'For %s, before the caller is through.',
                Duration::words($happening->seconds),
            ),
            $happening instanceof LeftByKey => \sprintf('After %s of waiting.', Duration::words($happening->seconds)),
            $happening instanceof WaitedInVain => 0 === $happening->ahead
                ? 'Nobody took the call, and nobody may wait for longer.'
                : \sprintf('Still %s, and nobody may wait for longer.', self::ahead($happening->ahead)),
            $happening instanceof CallbackOffered => 'Their number is known, and a line may carry the call.',
            $happening instanceof CallbackTaken => \sprintf(
                'After %s of waiting%s. The place is kept: %s.',
                Duration::words($happening->seconds),
                null === $happening->key ? ', which is the longest' : '',
                self::ahead($happening->ahead),
            ),
            $happening instanceof CallbackTried => $this->whyTried($happening),
            $happening instanceof CallbackClosed => ucfirst(StateReason::words($happening->reading, $happening->zone)) .
                ($happening->kept ? ' The place is kept until it opens again.' : ' Places that are left are given up.'),
            $happening instanceof SignedByCode => null === $happening->who
                ? 'The code works from the extension of one of its agents only.'
                : \sprintf('The code %s does it at once.', $happening->code),
        };
    }

    /** What the code does that somebody dials. */
    public function signs(SignedByCode $dialled): string
    {
        $queue = $this->names->of($dialled->queue);

        return null === $dialled->who
            ? \sprintf('tries to sign in or out of %s without being an agent of it', $queue)
            : match ($dialled->signIn) {
                SignIn::In => \sprintf('signs %s in to %s', $this->names->of($dialled->who), $queue),
                SignIn::Paused => \sprintf('lets %s pause in %s', $this->names->of($dialled->who), $queue),
                SignIn::Out => \sprintf('signs %s out of %s', $this->names->of($dialled->who), $queue),
            };
    }

    private function whyTried(CallbackTried $tried): string
    {
        $try = \sprintf('Try %d of %d', $tried->try, $tried->tries);
        $by = null === $tried->route->line ? '' : \sprintf(', by %s', $this->names->of($tried->route->line));

        return $try .
            $by .
            (null === $tried->route->shows ? '' : \sprintf(', showing %s', $this->names->of($tried->route->shows))) .
            '.';
    }

    private function entered(QueueEntered $entered): string
    {
        $queue = $this->names->of($entered->queue);

        return match (true) {
            null === $entered->queue => 'Waits in no queue',
            null === $entered->exit => \sprintf('Is let into %s, %s', $queue, self::ahead($entered->ahead)),
            default => \sprintf('Is not let into %s', $queue),
        };
    }

    private function whyEntered(QueueEntered $entered): string
    {
        return match (true) {
            null === $entered->queue => 'No queue is chosen.',
            QueueStep::NO_AGENTS === $entered->exit => 'Nobody is signed in.',
            QueueStep::UNREACHABLE === $entered->exit
                => 'Somebody is signed in, but nobody of them can be reached by any phone.',
            QueueStep::FULL === $entered->exit => \sprintf('%d wait already, and no more are let in.', $entered->ahead),
            QueueStep::TOO_LONG === $entered->exit => \sprintf(
                'The expected wait is longer than is allowed: %s',
                $this->expected($entered),
            ),
            default => $this->expected($entered),
        };
    }

    private static function told(PlaceTold $told): string
    {
        $parts = [];
        null === $told->position || ($parts[] = \sprintf('number %d', $told->position));
        null === $told->expected || ($parts[] = \sprintf('about %s to go', Duration::words($told->expected)));

        return [] === $parts ? 'Hears that it takes a while' : 'Hears: ' . implode(', ', $parts);
    }

    /** Why an agent is asked; nothing where it is no agent's turn. */
    public function turn(?Turn $turn): string
    {
        if (null === $turn) {
            return '';
        }
        $tier = $turn->tier > 1 ? \sprintf(', of tier %d', $turn->tier) : '';
        $tier .= $turn->byItself ? '; phones answer by themselves' : '';
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

        return null === $why
            ? \sprintf('All %d who are free.', $turn->free)
            : \sprintf('Of %d who are free the one who %s%s.', $turn->free, $why, $tier);
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
            default => \sprintf(
                'About %s to wait: (%d ahead + 1) × %s a call ÷ %d signed in.',
                Duration::words($entered->expected),
                $entered->ahead,
                Duration::words($entered->handling),
                $entered->signedIn,
            ),
        };
    }
}
