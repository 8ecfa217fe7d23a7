<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\KeyPress;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Heeded;

/**
 * What callers press while something is heard or rings: nothing, or a key that is heeded, as soon as it is heard or as that ends. Where
 * nothing is pressed, and it lasts longer by what else is done, that is asked again.
 */
final class KeysHeeded implements Question
{
    use Usual;

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof Heeded);
        $seconds = $at->what->until - $at->what->from;
        $isLonger = self::isAskedAgain($at) && $seconds > $at->acts->settled[self::settled($at)];

        return $at->place < \count($at->acts->presses->meanwhile) && !$isLonger
            ? null
            : \sprintf('heeded %s %d%s', implode(' ', $at->what->keys), $seconds, $isLonger ? ' longer' : '');
    }

    public function answers(Asking $at): array
    {
        \assert($at->what instanceof Heeded);
        $first = $at->what->heard;
        $seconds = $at->what->until - $at->what->from;
        // As it ends they are heard still, unless others are heeded from then on.
        $isCut = isset($at->run->walk->keys->heeded()[$at->place + 1]);
        $isAgain = self::isAskedAgain($at);
        $nothing = Acts::settling([self::settled($at)], $seconds);
        $answers = [$isAgain ? $nothing : $nothing->then(Acts::pressingMeanwhile(new KeyPress('')))];
        if (null === $first) {
            return $answers;
        }
        $last = max($first, $seconds - ($isCut ? 1 : 0));
        foreach ($at->what->keys as $key) {
            foreach ($isAgain ? [] : array_diff($at->soonest($first, $last), [$last]) as $after) {
                $answers[] = Acts::pressingMeanwhile(new KeyPress($key, $after));
            }
            $press = new KeyPress($key, $last);
            $answers[] = $isAgain ? Acts::pressingInstead($at->place, $press) : Acts::pressingMeanwhile($press);
        }

        return $answers;
    }

    /** Whether nothing was pressed there when it was asked first. */
    private static function isAskedAgain(Asking $at): bool
    {
        return isset($at->acts->settled[self::settled($at)]) &&
            '' === ($at->acts->presses->meanwhile[$at->place]->keys ?? null);
    }

    /** What is settled by whoever presses nothing, for so many seconds. */
    private static function settled(Asking $at): string
    {
        return 'heeded ' . $at->place;
    }
}
