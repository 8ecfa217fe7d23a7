<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Untried;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Happening\TriesAgain;

/**
 * What phones do that ring round after round: in each, whatever they may do in the first. Only the last round matters, in which
 * the call is taken as late as it can be, or with which it goes on as soon, or as late, as it can.
 */
final readonly class RoundsRing implements Question
{
    use Usual;

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof TriesAgain);
        $ringing = LastRounds::ringing($at)?->happening;
        $about = 'rounds ' . ($ringing instanceof Ringing ? $ringing->target?->text() : '');

        return $at->isSettled($about) ? null : $about;
    }

    public function answers(Asking $at): array
    {
        $settled = Acts::settling([(string) $this->about($at)]);
        $answers = [$settled];
        $rounds = LastRounds::of($at);
        $soonest = null === $at->soonest ? null : LastRounds::of($at->soonest);
        if (true === $soonest?->areAll && $soonest->end === $rounds?->end) {
            // Last rounds are over when the time is: they are the same for those who came sooner.
            return $answers;
        }
        foreach ($rounds->all ?? [] as [$before, $last]) {
            foreach ((new PhonesRing())->whatTheyDo($last) as $acts) {
                $answers[] = $settled->then($before)->then($acts);
            }
        }

        return $answers;
    }

    public function untried(Asking $at): ?Untried
    {
        return true === LastRounds::of($at)?->areAll ? null : Untried::Rounds;
    }

    /** When the second round begins: later where nothing rang in the first. */
    public function since(Asking $at): int
    {
        $began = $at->stand()->walk->second();
        $next = $at->run->walk->rung->nextAfter($began + $at->since);

        return null === $next ? $at->since : $next - $began;
    }
}
