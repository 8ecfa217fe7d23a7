<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Call\KeyPress;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Routing\Answering\Dialler;
use Meandros\Core\Routing\Happening\Asked;
use Meandros\Core\Routing\Heard;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Pressed;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;
use Meandros\Core\Script\Spoken;

/** Callers hear the prompt and press a key, during it or after; a wrong key and silence each use up a try. */
final class MenuWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof MenuStep);
        $exit = null;
        for ($try = 1; ; ++$try) {
            $start = $walk->second();
            $heard = $walk->hear($walk->plan->get(Prompt::class, self::prompt($step, $try, $exit)));
            $press = $walk->keys->atMenu();
            $at = self::when($step, $heard, $press);
            $press = null === $at ? null : $press;
            $person = null === $press ? null : self::dialled($step, $walk, self::taken($step, $press));
            $pressed = null === $press ? new Pressed() : self::heed($step, $press, $at, $walk, null !== $person);
            $walk->listen($heard, min($at ?? $heard->seconds, $heard->seconds));
            $walk->note(new Asked($heard, $pressed, $step, $try), $start);
            $walk->pass($pressed->more + (null === $at ? $step->asks->waitSeconds : max(0, $at - $heard->seconds)));
            if (null !== $person && null !== $step->dial) {
                return (new Dialler($walk))->reach($person, $step->dial);
            }
            if ($pressed->known) {
                return Onward::by((string) $pressed->key);
            }
            $exit = $pressed->isNothing() ? MenuStep::NOTHING : MenuStep::WRONG;
            if ($try >= $step->asks->tries) {
                return Onward::by($exit);
            }
        }
    }

    /** What keys or words are taken for. */
    private static function heed(MenuStep $step, KeyPress $press, ?int $at, Walk $walk, bool $isPerson): Pressed
    {
        if (null !== $press->says) {
            $said = Spoken::understand($press->says, $step->manner->words, $walk->language());

            return new Pressed(
                $said->key,
                null !== $said->key && null !== $step->exits()->find($said->key),
                $at,
                0,
                $said,
            );
        }
        $keys = self::taken($step, $press);

        return new Pressed(
            $keys,
            $isPerson || null !== $step->exits()->find($keys),
            $at,
            $step->dial?->seconds($press->keys) ?? 0,
        );
    }

    /** @param string|null $last how the try before ended */
    private static function prompt(MenuStep $step, int $try, ?string $last): ?string
    {
        return match (true) {
            MenuStep::WRONG === $last && null !== $step->manner->wrong => $step->manner->wrong,
            $try > 1 => $step->manner->second ?? $step->asks->prompt,
            default => $step->asks->prompt,
        };
    }

    /** @return int|null seconds since the prompt began at which the key counts; null where none does, or it comes at a time at which none counts */
    private static function when(MenuStep $step, Heard $heard, ?KeyPress $press): ?int
    {
        $after = $press->after ?? $heard->seconds;

        return match (true) {
            null === $press,
            $after >= $heard->seconds + $step->asks->waitSeconds,
            $after < $heard->seconds && !$step->manner->duringPrompt
                => null,
            default => $after,
        };
    }

    /** The digits of an extension where one may be dialled, otherwise the first key. */
    private static function taken(MenuStep $step, KeyPress $press): string
    {
        return null === $step->dial
            ? substr($press->keys, 0, 1)
            : (1 === \strlen($press->keys)
                ? $press->keys
                : rtrim($press->keys, '#'));
    }

    private static function dialled(MenuStep $step, Walk $walk, string $digits): ?Person
    {
        $person = null === $step->dial || \strlen($digits) < 2 ? null : $walk->plan->dialled($digits);

        return $person instanceof Person && true === $step->dial->mayReach($person) ? $person : null;
    }
}
