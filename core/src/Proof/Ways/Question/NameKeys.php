<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\KeyPress;
use Meandros\Core\Plan\Step\DirectoryStep;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Lead;
use Meandros\Core\Proof\Ways\Presses;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Untried;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Happening\NameSpelled;

/**
 * What callers spell at one try of a directory: nothing, somebody's name or extension in the fewest seconds and in the most,
 * nobody's, the key for help.
 */
final readonly class NameKeys implements Question
{
    use Usual;

    public function __construct(private Directories $directories) {}

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof NameSpelled);

        return $at->place < \count($at->acts->presses->atMenus)
            ? null
            : \sprintf('name %s %d', $at->what->step->id(), $at->what->try);
    }

    public function answers(Asking $at): array
    {
        \assert($at->what instanceof NameSpelled);
        $step = $at->what->step;
        $last = $at->what->heard->seconds + $step->asks->waitSeconds - 1;
        $answers = [Acts::pressing(Presses::nothing())];
        // What leads on does so at every try: it is spelled soonest at the first, and latest at the last.
        $isFirst = 1 === $at->what->try;
        $isLast = $step->asks->tries === $at->what->try;
        $names = $this->directories->of($at->plan(), $step);
        $help = [[''], DirectoryStep::HELP, 0, DirectoryStep::HELP, 0];
        foreach ([$help, ...$names->all] as [$people, $soon, $least, $late, $most]) {
            $leads = 1 === \count($people);
            $spell = static fn(string $keys, int $after, int $seconds): Acts|Lead => $leads
                ? new Lead(
                    Acts::pressing(new KeyPress($keys, $after)),
                    $step,
                    $people[0],
                    $at->since + $after + $seconds,
                )
                : Acts::pressing(new KeyPress($keys, $after));
            $isSoonest = match (\count($people)) {
                0 => true,
                1 => $isFirst,
                default => $names->isSoonestRead($people, $least, $isFirst, $isLast),
            };
            if ($at->isSoonest && $isSoonest) {
                $answers[] = $spell($soon, 0, $least);
            }
            if ($at->isLatest && (!$leads || ($isLast && !$names->isChosenLater($most, $people[0])))) {
                $answers[] = $spell($late, $last, $most);
            }
        }

        return $answers;
    }

    public function takesKey(): bool
    {
        return true;
    }

    public function turn(Asking $at): int
    {
        \assert($at->what instanceof NameSpelled);

        return 2 * $at->what->try;
    }

    public function untried(Asking $at): ?Untried
    {
        \assert($at->what instanceof NameSpelled);

        return $this->directories->of($at->plan(), $at->what->step)->isEverybody ? null : Untried::ManyPeople;
    }
}
