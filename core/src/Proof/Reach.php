<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Trace;

/** Who or what takes calls, in the order in which callers prefer it. */
enum Reach: string
{
    /** Callers wait in a queue for somebody. */
    case Queue = 'queue';
    /** A phone rings that somebody may answer. */
    case Person = 'person';
    /** Sent on to a number outside. */
    case Outside = 'outside';
    case Message = 'message';
    case Announcement = 'announcement';
    case Nobody = 'nobody';

    public static function of(Trace $trace): self
    {
        return match (true) {
            self::isLetIn($trace) => self::Queue,
            self::rings($trace) => self::Person,
            default => match ($trace->ending->kind) {
                EndingKind::Forwarded => self::Outside,
                EndingKind::Message, EndingKind::OwnMailbox, EndingKind::Listens, EndingKind::Fax => self::Message,
                EndingKind::Announcement, EndingKind::Announced => self::Announcement,
                default => self::Nobody,
            },
        };
    }

    /** Whether somebody may be talked to. */
    public function isSomebody(): bool
    {
        return self::Person === $this || self::Queue === $this || self::Outside === $this;
    }

    private static function isLetIn(Trace $trace): bool
    {
        foreach ($trace->passage->events as $event) {
            $happening = $event->happening;
            if ($happening instanceof QueueEntered && null !== $happening->queue && null === $happening->exit) {
                return true;
            }
        }

        return false;
    }

    private static function rings(Trace $trace): bool
    {
        foreach ($trace->passage->rung as $rung) {
            if (null !== $rung->times->rings) {
                return true;
            }
        }

        return false;
    }
}
