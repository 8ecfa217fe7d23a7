<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Call\KeyPress;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\MenuDialling;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Routing\Happening\Asked;
use Meandros\Core\Routing\Happening\ExtensionDialled;
use Meandros\Core\Routing\Heard;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;
use Meandros\Core\Routing\Walkers;

/** Callers hear the prompt and press a key, during it or after; a wrong key and silence each use up a try. */
final class MenuWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof MenuStep);
        $exit = null;
        for ($try = 1;; ++$try) {
            $start = $walk->second();
            $heard = $walk->hear($walk->plan->get(Prompt::class, self::prompt($step, $try, $exit)));
            $press = $walk->takeKey();
            $at = self::when($step, $heard, $press);
            $press = null === $at ? null : $press;
            $keys = null === $press ? null : self::taken($step, $press);
            $person = null === $keys ? null : self::dialled($step, $walk, $keys);
            $known = null !== $person || (null !== $keys && null !== $step->exits()->find($keys));
            $walk->listen($heard, min($at ?? $heard->seconds, $heard->seconds));
            $more = null === $press ? 0 : self::moreDigits($step, $press->keys);
            $walk->note(new Asked($heard, $keys, $known, $step, $try, $at, $more), $start);
            $walk->pass($more + (null === $at ? $step->waitSeconds : max(0, $at - $heard->seconds)));
            if (null !== $person && null !== $step->dial) {
                return self::reach($person, $step->dial, $walk);
            }
            if ($known) {
                return Onward::by((string) $keys);
            }
            $exit = null === $keys ? MenuStep::NOTHING : MenuStep::WRONG;
            if ($try >= $step->tries) {
                return Onward::by($exit);
            }
        }
    }

    /** @param string|null $last how the try before ended */
    private static function prompt(MenuStep $step, int $try, ?string $last): ?string
    {
        return match (true) {
            MenuStep::WRONG === $last && null !== $step->manner->wrong => $step->manner->wrong,
            $try > 1 => $step->manner->second ?? $step->prompt,
            default => $step->prompt,
        };
    }

    /** @return int|null seconds since the prompt began at which the key counts; null where none does, or it comes at a time at which none counts */
    private static function when(MenuStep $step, Heard $heard, ?KeyPress $press): ?int
    {
        $after = $press->after ?? $heard->seconds;

        return match (true) {
            null === $press, $after >= $heard->seconds + $step->waitSeconds, $after < $heard->seconds && !$step->manner->duringPrompt => null,
            default => $after,
        };
    }

    /** The digits of an extension where one may be dialled, otherwise the first key. */
    private static function taken(MenuStep $step, KeyPress $press): string
    {
        return null === $step->dial ? substr($press->keys, 0, 1) : (1 === \strlen($press->keys) ? $press->keys : rtrim($press->keys, '#'));
    }

    private static function dialled(MenuStep $step, Walk $walk, string $digits): ?Person
    {
        $person = null === $step->dial || \strlen($digits) < 2 ? null : $walk->plan->dialled($digits);

        return $person instanceof Person && true === $step->dial->mayReach($person) ? $person : null;
    }

    /** Seconds that dialling takes: one for each digit after the first, then as long as another may follow; # ends it at once. */
    private static function moreDigits(MenuStep $step, string $keys): int
    {
        if (null === $step->dial || 1 !== preg_match('/^[0-9]+/', $keys, $digits)) {
            return 0;
        }

        return \strlen($digits[0]) - 1 + ($digits[0] === $keys ? $step->dial->digitSeconds : 0);
    }

    /** Rings whoever was dialled; while it is closed their mailbox takes the call. */
    private static function reach(Person $person, MenuDialling $dial, Walk $walk): Onward
    {
        $hours = $walk->plan->get(Hours::class, $dial->hours);
        $isOpen = null === $hours || false !== $hours->state($walk->read($hours)->state)?->open;
        $mailbox = $isOpen ? null : $walk->plan->get(Mailbox::class, $person->mailbox);
        $walk->note(new ExtensionDialled($person->id(), $person->extension, null === $mailbox ? null : $dial->hours));
        $onward = null === $mailbox ? (new Walkers())->through($person->directSteps(), $walk) : MessageWalker::leave($mailbox, $walk);

        return null === $onward->ending && null === $onward->journey ? Onward::by(MenuStep::DIALLED) : $onward;
    }
}
