<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

enum EndingKind: string
{
    case Answered = 'answered';
    case Message = 'message';
    /** A mailbox that takes no messages has said what it has to say. */
    case Announcement = 'announcement';
    /** An owner listens to the messages of a mailbox from outside. */
    case Listens = 'listens to messages';
    /** The caller speaks on phones that answered by themselves. */
    case Announced = 'announced';
    /** The own mailbox of somebody's phone took the call. */
    case OwnMailbox = 'own mailbox';
    /** Sent on to a number outside, for good. */
    case Forwarded = 'forwarded';
    /** Somebody keeps a place, and is called back when this is over. */
    case CallbackKept = 'callback kept';
    /** Somebody kept a place, and was not reached. */
    case CallbackInVain = 'callback in vain';
    /** A fax machine sends a document to a mailbox. */
    case Fax = 'fax';
    case EndedByPlan = 'ended by plan';
    case RanOut = 'ran out of steps';
    case CallerGaveUp = 'caller gave up';
    case LoopStopped = 'loop stopped';
}
