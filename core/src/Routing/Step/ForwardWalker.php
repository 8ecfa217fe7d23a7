<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\ForwardStep;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\SentOn;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

/** Sends the call on; one of our own numbers lets it come back in. */
final class ForwardWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof ForwardStep);
        if (null === $step->number) {
            $walk->note(new SentOn(null));

            return Onward::next();
        }
        if ($walk->plan->dialled($step->number) instanceof Number) {
            return $walk->comeBackIn($step->number, null) ?? Onward::next();
        }
        $line = self::line($step, $step->number, $walk);
        $shows = $walk->plan->get(Number::class, $step->shows)?->range->number;
        $exit = match (true) {
            null === $line && $walk->lines->areKnown() => ForwardStep::NOT_CARRIED,
            default => match ($walk->assumed()->of([$step->number])->does) {
                Behaviour::Busy, Behaviour::OnACall, Behaviour::Refuses => ForwardStep::BUSY,
                Behaviour::Unreachable => ForwardStep::UNREACHABLE,
                Behaviour::Answers, Behaviour::Rings => null,
            },
        };
        $walk->note(new SentOn($step->number, $line?->id(), $shows, $exit, $step->digits));

        return null === $exit
            ? Onward::end(new Ending(EndingKind::Forwarded, phone: $step->number))
            : Onward::by($exit);
    }

    /** The line that carries it: the one that is set, or the first that may and has a channel free. */
    private static function line(ForwardStep $step, string $number, Walk $walk): ?OutsideLine
    {
        $inUse = $walk->channelsInUse();
        foreach ($walk->lines->carriers($number, $walk->arrival()->at->site) as $line) {
            if (($inUse[$line->id()] ?? 0) < $line->channels && (null === $step->line || $step->line === $line->id())) {
                return $line;
            }
        }

        return null;
    }
}
