<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Step\DialsPeople;
use Meandros\Core\Plan\Step\MenuDialling;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Happening\ExtensionDialled;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Part;
use Meandros\Core\Routing\Step\MessageWalker;
use Meandros\Core\Routing\Walk;

/** Rings whoever a caller has asked for; while it is closed their mailbox takes the call. */
final readonly class Dialler
{
    public function __construct(private Walk $walk) {}

    /**
     * @return Onward to them, to where their mailbox leads, or on where nobody has taken the call
     *
     * @throws CallOver
     */
    public function reach(Person $person, MenuDialling $dial): Onward
    {
        $walk = $this->walk;
        $hours = $walk->plan->get(Hours::class, $dial->hours);
        $isOpen = null === $hours || false !== $hours->states->find($walk->read($hours)->state)?->open;
        $mailbox = $isOpen ? null : $walk->plan->get(Mailbox::class, $person->reach->mailbox);
        $walk->note(
            new ExtensionDialled($person->id(), $person->known->extension, null === $mailbox ? null : $dial->hours),
        );
        if (null === $mailbox) {
            return Onward::ringing($person);
        }
        $onward = MessageWalker::leave($mailbox, $walk);
        $part = $onward->part;

        return match (true) {
            null !== $part => Onward::within(new Part($part->name, $part->steps, DialsPeople::DIALLED)),
            $onward->goesOn() => Onward::by(DialsPeople::DIALLED),
            default => $onward,
        };
    }
}
