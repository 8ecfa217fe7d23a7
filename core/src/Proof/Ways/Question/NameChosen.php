<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\KeyPress;
use Meandros\Core\Plan\Step\DirectoryStep;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Happening\NameSpelled;
use Meandros\Core\Routing\Happening\NamesRead;

/** Whom callers choose among those whose names are read out: one of them, nobody, or the key for help. */
final readonly class NameChosen implements Question
{
    use Usual;

    /** Stands for nobody: at most nine are read out, and no name has this key. */
    private const NOBODY = '*';

    public function __construct(private Directories $directories) {}

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof NamesRead);

        return $at->place < \count($at->acts->keys)
            ? null
            : \sprintf('chosen %s after try %d', implode(' ', $at->what->people), self::spelled($at)->try ?? 1);
    }

    /** What was spelled before the names were read out. */
    private static function spelled(Asking $at): ?NameSpelled
    {
        $spelled = null;
        foreach ($at->run->walk->events() as $event) {
            if ($event->happening === $at->what) {
                break;
            }
            $spelled = $event->happening instanceof NameSpelled ? $event->happening : $spelled;
        }

        return $spelled;
    }

    public function answers(Asking $at): array
    {
        \assert($at->what instanceof NamesRead);
        $last = $at->what->seconds + $at->what->step->asks->waitSeconds - 1;
        $answers = [Acts::pressing(Acts::nothingPressed())];
        // The same names may be read out after every try: one is chosen soonest after the first, and latest after the last.
        $try = self::spelled($at)->try ?? 1;
        $isLast = $at->what->step->asks->tries === $try;
        foreach ([self::NOBODY, DirectoryStep::HELP, ...range(1, \count($at->what->people))] as $key) {
            $isNobody = self::NOBODY === $key;
            $isSoonest = $at->isSoonest && (1 === $try ? !$this->isSpelledSooner($at, (int) $key) : $isNobody);
            if ($isSoonest) {
                $answers[] = Acts::pressing(new KeyPress((string) $key, 0));
            }
            if ($at->isLatest && ($isLast || $isNobody)) {
                $answers[] = Acts::pressing(new KeyPress((string) $key, $last));
            }
        }

        return $answers;
    }

    /** Whether somebody who is read out can as well be asked for by name at once. */
    private function isSpelledSooner(Asking $at, int $key): bool
    {
        \assert($at->what instanceof NamesRead);
        $person = $at->what->people[$key - 1] ?? null;
        $seconds = self::spelled($at)->seconds ?? 0;
        $names = $this->directories->of($at->plan(), $at->what->step);

        return null !== $person && $names->isSpelledIn($seconds, $person);
    }

    public function takesKey(): bool
    {
        return true;
    }
}
