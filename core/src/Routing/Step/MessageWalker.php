<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\Exits;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\MessageTaken;
use Meandros\Core\Routing\KeysMeanwhile;
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

        return self::leave($mailbox, $walk, null, $step->exits());
    }

    /**
     * @param string|null $greeting a prompt in place of the mailbox's own
     * @param Exits       $exits    by keys that are pressed during the greeting; # always records at once
     *
     * @throws CallOver
     */
    public static function leave(
        Mailbox $mailbox,
        Walk $walk,
        ?string $greeting = null,
        Exits $exits = new Exits(),
    ): Onward {
        $heard = $walk->hear($walk->plan->get(Prompt::class, $greeting ?? $mailbox->greeting));
        $start = $walk->second();
        $onward = (new KeysMeanwhile($walk))->during(
            0 === $heard->seconds ? [] : [...$exits->keys(), MessageStep::AT_ONCE],
            static function () use ($walk, $heard): Onward {
                $walk->listen($heard);

                return Onward::next();
            },
            0,
        );
        if (null !== $onward->exit && MessageStep::AT_ONCE !== $onward->exit) {
            return $onward;
        }
        $cut = MessageStep::AT_ONCE === $onward->exit;
        $walk->note(
            new MessageTaken($mailbox->id(), $heard->prompt, $walk->second() - $start, null !== $greeting),
            $cut ? null : $start,
        );

        return Onward::end(new Ending(EndingKind::Message, $mailbox->id()));
    }
}
