<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\KeyPress;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Lead;
use Meandros\Core\Proof\Ways\Presses;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Happening\NameSpelled;
use Meandros\Core\Routing\Happening\NamesRead;

/** Whom callers choose among those whose names are read out: one of them, nobody, or the key for help. */
final readonly class NameChosen implements Question
{
    use Usual;

    /** Stands for nobody: at most nine are read out, and no name has this key. Help has 0. */
    private const NOBODY = '*';

    public function __construct(private Directories $directories) {}

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof NamesRead);

        return $at->place < \count($at->acts->presses->atMenus)
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
        [$step, $people, $spelled] = [$at->what->step, $at->what->people, self::spelled($at)];
        $try = $spelled->try ?? 1;
        $isLast = $step->asks->tries === $try;
        $names = $this->directories->of($at->plan(), $step);
        $isSooner = static fn(string ...$whom): bool => $names->isSpelledIn(
            $spelled->seconds ?? 0,
            array_values($whom),
        );
        $choose = static fn(int $place, int $after): Lead => new Lead(
            Acts::pressing(new KeyPress((string) $place, $after)),
            $step,
            $people[$place - 1] ?? '',
            $at->since + $after,
        );
        // Latest nothing is pressed instead of nobody's key. Soonest nobody is spelled instead, but for the last try, after which that leads elsewhere.
        $answers = [Acts::pressing(Presses::nothing())];
        if ($at->isSoonest && (($isLast && $names->areSoonestRead($people)) || !$isSooner())) {
            $answers[] = Acts::pressing(new KeyPress(self::NOBODY, 0));
        }
        // The same names may be read out after every try: one is chosen soonest after the first, and latest after the last.
        foreach ($people as $i => $person) {
            if ($at->isSoonest && 1 === $try && !$isSooner($person)) {
                $answers[] = $choose($i + 1, 0);
            }
        }
        // Soonest the key for help is pressed instead of a name.
        foreach ($at->isLatest && $isLast ? range(0, \count($people)) : [] as $key) {
            $answers[] = $choose($key, $at->what->seconds + $step->asks->waitSeconds - 1);
        }

        return $answers;
    }

    /** A try is over once somebody is chosen, or nobody. */
    public function turn(Asking $at): int
    {
        return 2 * (self::spelled($at)->try ?? 1) + 1;
    }

    public function takesKey(): bool
    {
        return true;
    }
}
