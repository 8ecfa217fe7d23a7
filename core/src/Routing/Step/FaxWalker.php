<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\FaxStep;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\FaxLookedFor;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

/** Answers and listens; callers hear a prompt meanwhile, or nothing. */
final class FaxWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof FaxStep);
        $mailbox = $walk->plan->get(Mailbox::class, $step->mailbox);
        $heard = $walk->hear($walk->plan->get(Prompt::class, $step->prompt));
        $isFax = $walk->assumptions->caller->isFax && null !== $mailbox && $step->seconds >= FaxStep::HEARD_WITHIN;
        $seconds = $isFax ? FaxStep::HEARD_WITHIN : $step->seconds;
        $start = $walk->second();
        $walk->listen($heard, $isFax ? min($heard->seconds, $seconds) : null);
        $walk->note(
            new FaxLookedFor($mailbox?->id(), $heard, $seconds, $isFax, $walk->assumptions->caller->isFax),
            $start,
        );
        $walk->pass(max(0, $seconds - ($walk->second() - $start)));

        return $isFax ? Onward::end(new Ending(EndingKind::Fax, $mailbox->id())) : Onward::next();
    }
}
