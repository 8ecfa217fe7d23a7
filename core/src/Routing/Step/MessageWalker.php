<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\MessageTaken;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

final class MessageWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof MessageStep);
        $mailbox = $walk->plan->get(Mailbox::class, $step->mailbox);
        if (null === $mailbox) {
            $walk->note(new MessageTaken(null, null, 0));

            return Onward::next();
        }

        return self::leave($mailbox, $walk);
    }

    /**
     * @param string|null $greeting a prompt in place of the mailbox's own
     *
     * @throws CallOver
     */
    public static function leave(Mailbox $mailbox, Walk $walk, ?string $greeting = null): Onward
    {
        $heard = $walk->hear($walk->plan->get(Prompt::class, $greeting ?? $mailbox->greeting));
        $start = $walk->second();
        $walk->listen($heard);
        $walk->note(new MessageTaken($mailbox->id(), $heard->prompt, $heard->seconds, null !== $greeting), $start);

        return Onward::end(new Ending(EndingKind::Message, $mailbox->id()));
    }
}
