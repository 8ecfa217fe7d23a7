<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\KeyPress;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Heeded;

/** What callers press while something is heard or rings: nothing, or a key that is heeded, as soon as it is heard or as that ends. */
final class KeysHeeded implements Question
{
    use Usual;

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof Heeded);

        return $at->place < \count($at->acts->meanwhile)
            ? null
            : \sprintf('heeded %s %d', implode(' ', $at->what->keys), $at->what->until - $at->what->from);
    }

    public function answers(Asking $at): array
    {
        \assert($at->what instanceof Heeded);
        $first = $at->what->heard;
        // As it ends they are heard still, unless others are heeded from then on.
        $isCut = isset($at->run->walk->keys->heeded()[$at->place + 1]);
        $answers = [new Acts([], [new KeyPress('')])];
        if (null === $first) {
            return $answers;
        }
        $last = max($first, $at->what->until - $at->what->from - ($isCut ? 1 : 0));
        foreach ($at->what->keys as $key) {
            foreach (array_unique([...$at->soonest($first, $last), $last]) as $after) {
                $answers[] = new Acts([], [new KeyPress($key, $after)]);
            }
        }

        return $answers;
    }
}
