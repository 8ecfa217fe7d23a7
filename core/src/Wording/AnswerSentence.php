<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\Asked;
use Meandros\Core\Routing\Happening\CallbackTaken;
use Meandros\Core\Routing\Happening\CallbackTried;
use Meandros\Core\Routing\Happening\CallerToldApart;
use Meandros\Core\Routing\Happening\CodeDialled;
use Meandros\Core\Routing\Happening\ComesBackIn;
use Meandros\Core\Routing\Happening\Happening;
use Meandros\Core\Routing\Happening\KeyMeanwhile;
use Meandros\Core\Routing\Happening\LeftByKey;
use Meandros\Core\Routing\Happening\MessageTaken;
use Meandros\Core\Routing\Happening\NameSpelled;
use Meandros\Core\Routing\Happening\NamesRead;
use Meandros\Core\Routing\Happening\ParkedAt;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Happening\Said;
use Meandros\Core\Routing\Happening\SentOn;
use Meandros\Core\Routing\Happening\SignedByCode;
use Meandros\Core\Routing\Happening\TriesAgain;
use Meandros\Core\Routing\Happening\WaitedInVain;
use Meandros\Core\Routing\Trace;

/** The answer to a trial call in one plain sentence. */
final readonly class AnswerSentence
{
    private const MOST_CLAUSES = 7;

    private Names $names;

    private function __construct(private Plan $plan)
    {
        $this->names = new Names($plan);
    }

    public static function of(Trace $trace, Plan $plan): string
    {
        return (new self($plan))->sentence($trace);
    }

    /** The same of a step alone, after which the call goes on. */
    public static function ofStep(Trace $trace, Plan $plan): string
    {
        return (new self($plan))->sentence($trace, 'the call goes on');
    }

    private function sentence(Trace $trace, ?string $whenNothingIsLeft = null): string
    {
        $clauses = [];
        $wasAsked = false;
        $queue = null;
        foreach ($trace->passage->events as $event) {
            $place = $event->journey . ' ' . $event->step;
            $queue = $event->happening instanceof QueueEntered ? $place : $queue;
            // What is said in a queue is part of the wait.
            $clause = $event->happening instanceof Said && $place === $queue ? null : $this->clause($event->happening);
            if ($event->happening instanceof WaitedInVain && !$wasAsked) {
                // Nobody was asked meanwhile: the wait is told at once.
                $waits = $this->waits($event->happening->queue);
                $clauses = array_values(array_diff($clauses, [$waits]));
                $clause = \sprintf('%s for %s', $waits, Duration::words($event->happening->seconds));
            }
            $wasAsked =
                !($event->happening instanceof QueueEntered) && ($wasAsked || $event->happening instanceof Ringing);
            if (null !== $clause && $clause !== end($clauses)) {
                $clauses[] = $clause;
            }
        }
        $ending =
            EndingKind::RanOut === $trace->ending->kind && null !== $whenNothingIsLeft
                ? $whenNothingIsLeft
                : $this->ending($trace->ending);
        if (\count($clauses) > self::MOST_CLAUSES) {
            $hidden = \count($clauses) - self::MOST_CLAUSES + 1;
            $clauses = [
                ...\array_slice($clauses, 0, self::MOST_CLAUSES - 1),
                \sprintf('goes through %d more', $hidden),
            ];
        }
        if (null !== $ending) {
            $clauses[] = $ending;
        }
        $last = array_pop($clauses);
        $sentence = [] === $clauses ? (string) $last : implode(', ', $clauses) . ', then ' . $last;

        return Listed::capital($sentence) . '.';
    }

    private function clause(Happening $happening): ?string
    {
        return match (true) {
            $happening instanceof Said => 0 === $happening->seconds
                ? null
                : 'hears “' . $this->names->of($happening->prompt) . '”',
            $happening instanceof Asked => (new MenuWords($this->names))->clause($happening),
            $happening instanceof KeyMeanwhile => $happening->known ? \sprintf('presses %s', $happening->key) : null,
            $happening instanceof NameSpelled, $happening instanceof NamesRead => lcfirst(
                (new DirectoryWords($this->names))->what($happening),
            ),
            $happening instanceof ParkedAt => null === $happening->site
                ? null
                : lcfirst((new EventWords($this->plan))->what($happening)),
            $happening instanceof SentOn => null === $happening->exit
                ? null
                : \sprintf('is not sent on to %s', $this->names->of($happening->number)),
            $happening instanceof CallerToldApart => null === $happening->list
                ? null
                : \sprintf('is one of %s', $this->names->of($happening->list)),
            $happening instanceof Ringing => $this->ringing($happening),
            $happening instanceof TriesAgain => \sprintf(
                'tries again for up to %s',
                Duration::words(60 * $happening->minutes),
            ),
            $happening instanceof ComesBackIn => \sprintf('comes back in by %s', $this->names->of($happening->element)),
            $happening instanceof QueueEntered => match (true) {
                null === $happening->queue => null,
                null === $happening->exit => $this->waits($happening->queue),
                default => \sprintf('is not let into %s', $this->names->of($happening->queue)),
            },
            $happening instanceof LeftByKey => \sprintf(
                'presses %s after %s',
                $happening->key,
                Duration::words($happening->seconds),
            ),
            $happening instanceof WaitedInVain => \sprintf(
                'has waited %s in all',
                Duration::words($happening->seconds),
            ),
            $happening instanceof CallbackTaken => \sprintf(
                'keeps the place after %s',
                Duration::words($happening->seconds),
            ),
            $happening instanceof CallbackTried => $happening->taken
                ? \sprintf('is called back and answers after %s', Duration::words($happening->seconds))
                : 'is called back in vain',
            $happening instanceof SignedByCode => (new QueueWords($this->names))->signs($happening),
            $happening instanceof CodeDialled => $this->names->code($happening),
            $happening instanceof MessageTaken => null === $happening->mailbox
                ? null
                : lcfirst((new MailboxWords($this->names))->what($happening)),
            default => null,
        };
    }

    private function waits(string $queue): string
    {
        return \sprintf('waits in %s', $this->names->of($queue));
    }

    private function ringing(Ringing $ringing): string
    {
        $who = $this->names->target($ringing->target);

        return match ($ringing->exit) {
            null => $ringing->isAnnouncement()
                ? \sprintf('speaks on the phones of %s', $who)
                : \sprintf(
                    $ringing->lostToMailbox() ? 'rings %s for %s' : 'rings %s and is answered after %s',
                    $who,
                    Duration::words($ringing->seconds),
                ),
            RingStep::BUSY => \sprintf('finds %s busy', $who),
            RingStep::REFUSED => \sprintf('is refused by %s', $who),
            RingStep::UNREACHABLE => null === $ringing->target
                ? 'rings nobody (nobody is chosen)'
                : \sprintf('cannot reach %s', $who),
            default => \sprintf('rings %s for %s', $who, Duration::words($ringing->seconds)),
        };
    }

    private function ending(Ending $ending): ?string
    {
        return match ($ending->kind) {
            EndingKind::Answered => 'talks to ' .
                (null === $ending->who ? $this->names->of($ending->phone) : $this->names->of($ending->who)),
            EndingKind::Message, EndingKind::Announced, EndingKind::Announcement => null,
            EndingKind::Listens => \sprintf('listens to the messages of %s', $this->names->of($ending->who)),
            EndingKind::OwnMailbox => \sprintf('the own mailbox of %s has the call', $this->names->of($ending->whom())),
            EndingKind::Forwarded => \sprintf('is sent on to %s', $this->names->of($ending->phone)),
            EndingKind::CallbackKept => \sprintf(
                'is called back by %s when it opens again',
                $this->names->of($ending->who),
            ),
            EndingKind::CallbackInVain => \sprintf('the place in %s is given up', $this->names->of($ending->who)),
            EndingKind::Fax => \sprintf('sends a fax to %s', $this->names->of($ending->who)),
            EndingKind::EndedByPlan => 'the plan ends the call',
            EndingKind::RanOut => 'the call ends because no step is left',
            EndingKind::CallerGaveUp => 'the caller gives up',
            EndingKind::LoopStopped => 'goes round in a loop, stopped here',
        };
    }
}
