<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\MessageTaken;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Walk;

final class MessageWalker
{
    /** @throws CallOver */
    public static function take(MessageStep $step, Walk $walk): Onward
    {
        $mailbox = $walk->plan->get(Mailbox::class, $step->mailbox);
        $heard = $walk->hear($walk->plan->get(Prompt::class, $mailbox?->greeting));
        $walk->note(new MessageTaken($mailbox?->id(), $heard->prompt, $heard->seconds));
        if (null === $mailbox) {
            return Onward::next();
        }
        $walk->pass($heard->seconds);

        return Onward::end(new Ending(EndingKind::Message, $mailbox->id()));
    }
}
