<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\TrialCall;

/** Keys that lead on from a step, each as it was tried: pressed at another second, it leads to the same, as soon. */
final class Leads
{
    /** @var array<string, list<array{Run, int}>> by where they lead, and when they were taken, in seconds since the step began */
    private array $led = [];

    public function add(Lead $lead, Asking $asking, Run $run): void
    {
        self::isSoAlways($lead, $asking) && ($this->led[$lead->to][] = [$run, $lead->second]);
    }

    /** How the step is taken where a key is pressed, told from what was tried; null where that has to be tried. */
    public function find(Lead $lead, Asking $asking): ?Run
    {
        foreach (self::isSoAlways($lead, $asking) ? $this->led[$lead->to] ?? [] : [] as [$run, $second]) {
            $seconds = $run->seconds - $second + $lead->second;
            // It may be taken in the very second in which calls come there; and no call lasts forever.
            $isSo =
                (0 === $seconds) === (0 === $run->seconds) &&
                $asking->stand()->walk->second() + $seconds < TrialCall::MOST_SECONDS;
            if ($isSo) {
                $acts = $asking->acts->then($lead->acts)->asked($seconds, $asking->place + 1, 0, [], false);

                return $run->later($seconds - $run->seconds, $acts);
            }
        }

        return null;
    }

    /** Whether it depends on nothing but the key: phones do nothing before it, and no place is kept meanwhile. */
    private static function isSoAlways(Lead $lead, Asking $asking): bool
    {
        $stand = $asking->stand();

        return null === $stand->walk->kept() && $lead->step === ($stand->way->next()[1] ?? null);
    }
}
