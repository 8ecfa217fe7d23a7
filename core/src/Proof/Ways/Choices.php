<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\Keypad;
use Meandros\Core\Call\KeyPress;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Ringing\Rung;

/**
 * What callers and phones may do at one step, so that every outcome comes up, each as soon and as late as it can: keys at
 * once and in the last second; phones all alike, and one of them ringing on or answering while the others do something else.
 * What else several phones do differently leads to the same outcomes, at seconds between.
 */
final class Choices
{
    /** Phones that come up only when others do something are looked for so many times. */
    private const ROUNDS = 4;

    /** @var array<string, Run> by acts: with one phone, the others do nothing in whichever way */
    private array $tried = [];

    /** @param \Closure(Acts): Run $take takes the step */
    public function __construct(private readonly \Closure $take, private readonly Stand $stand) {}

    /** @return list<Run> */
    public function all(Step $step): array
    {
        $plain = $this->try(new Acts());
        $runs = [$plain];
        if (
            $step instanceof MenuStep &&
            null === $step->dial &&
            $plain->walk->keysTaken() > $this->stand->walk->keysTaken()
        ) {
            array_push($runs, ...$this->keys($step));
        }
        foreach ($plain->walk->heeded()[0] ?? [] as $key) {
            foreach (array_unique([0, max(0, $plain->seconds - 1)]) as $after) {
                $runs[] = $this->try(new Acts([], [new KeyPress($key, $after)]));
            }
        }
        if ([] !== $plain->walk->rung()) {
            array_push($runs, ...$this->phones($plain));
        }

        return array_values(array_combine(array_map(spl_object_id(...), $runs), $runs));
    }

    private function try(Acts $acts): Run
    {
        return $this->tried[serialize($acts)] ??= ($this->take)($acts);
    }

    /** Whether everything that may be done at the step is among the choices. */
    public static function areAll(Step $step, Run $plain): bool
    {
        return \in_array(
            $step->toJson()['do'] ?? '',
            ['say', 'menu', 'hours', 'caller', 'ring', 'message', 'go', 'tag', 'again', 'end'],
            true,
        ) &&
            !($step instanceof MenuStep && null !== $step->dial) &&
            \count($plain->walk->heeded()) < 2;
    }

    /** @return list<Run> each key at each try, where something else was pressed at the ones before */
    private function keys(MenuStep $step): array
    {
        $known = array_values(
            array_filter(Keypad::KEYS, static fn(string $key): bool => null !== $step->exits()->find($key)),
        );
        $wrong = array_values(array_diff(Keypad::KEYS, $known))[0] ?? null;
        $runs = [];
        $before = [[]];
        for ($try = 1; $try <= $step->tries; ++$try) {
            $next = [];
            foreach ($before as $presses) {
                foreach ([...$known, ...null === $wrong ? [] : [$wrong]] as $key) {
                    foreach ($this->times($step, $presses) as $after) {
                        $all = [...$presses, new KeyPress($key, $after)];
                        $runs[] = $this->try(new Acts($all));
                        $key === $wrong && ($next[] = $all);
                    }
                }
                $next[] = [...$presses, Acts::nothingPressed()];
            }
            $before = $next;
        }
        foreach ($before as $presses) {
            $runs[] = $this->try(new Acts($presses));
        }

        return $runs;
    }

    /**
     * @param list<KeyPress> $presses at the tries before
     *
     * @return list<int> seconds of the prompt at which a key counts: the first one and the last one
     */
    private function times(MenuStep $step, array $presses): array
    {
        // Nothing is pressed: how long the prompt is follows from how long the try lasts.
        $silent = $this->try(new Acts([...$presses, Acts::nothingPressed()]));
        $asked =
            array_values(
                array_filter($silent->walk->asked(), static fn($one): bool => $one->try === \count($presses) + 1),
            )[0] ?? null;
        $heard = $asked->heard->seconds ?? 0;
        $first = $step->manner->duringPrompt ? 0 : $heard;
        $last = $heard + $step->waitSeconds - 1;

        return $last < $first ? [] : array_values(array_unique([$first, $last]));
    }

    /** @return list<Run> */
    private function phones(Run $plain): array
    {
        $runs = [];
        foreach ([Behaviour::Rings, Behaviour::Busy, Behaviour::Unreachable, Behaviour::Refuses, null] as $does) {
            // In the last round phones refuse as late as they can.
            $alike =
                Behaviour::Rings === $does ? $plain : $this->alike($does ?? Behaviour::Refuses, null === $does, $plain);
            $runs[] = $alike;
            $rung = $this->byPhone($alike->walk->rung());
            foreach (array_keys($rung) as $phone) {
                if ($this->isFree($phone)) {
                    array_push($runs, ...$this->unlike($phone, $alike->acts->phones));
                }
            }
        }

        return $runs;
    }

    /**
     * One phone rings on, or answers, while the others do what they do.
     *
     * @param array<string, PhoneAssumption> $others
     *
     * @return list<Run>
     */
    private function unlike(string $phone, array $others): array
    {
        unset($others[$phone]);
        $rings = $this->try(new Acts([], [], $others));
        $before = $this->before($phone);
        $rung = $this->byPhone($rings->walk->rung())[$phone] ?? null;
        $acts = [];
        if (null !== $rung?->rings) {
            $last = max(0, $rung->seconds() - 1);
            foreach (array_unique([$before, $before + $last]) as $after) {
                $acts[] = [Behaviour::Answers, $after];
            }
        }

        return [
            $rings,
            ...array_map(
                fn(array $act): Run => $this->try(
                    new Acts([], [], [$phone => new PhoneAssumption($phone, ...$act)] + $others),
                ),
                $acts,
            ),
        ];
    }

    /** All phones do one thing, whichever come up. */
    private function alike(Behaviour $does, bool $isLate, Run $plain): Run
    {
        $run = $plain;
        $phones = [];
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            $known = \count($phones);
            foreach ($this->byPhone($run->walk->rung()) as $phone => $rung) {
                $before = $this->before($phone);
                $refusals = Behaviour::Refuses === $does ? $this->refusals($phone, max(0, $rung->seconds() - 1)) : [];
                $isPossible = Behaviour::Refuses === $does ? [] !== $refusals : 0 === $before;
                if (!isset($phones[$phone]) && $isPossible && $this->isFree($phone)) {
                    $after = $refusals[$isLate ? \count($refusals) - 1 : 0] ?? null;
                    $phones[$phone] = new PhoneAssumption($phone, $does, $after);
                }
            }
            if ($known === \count($phones)) {
                break;
            }
            $run = $this->try(new Acts([], [], $phones));
        }

        return $run;
    }

    /**
     * @param list<Rung> $rung
     *
     * @return array<string, Rung> the last ringing of each
     */
    private function byPhone(array $rung): array
    {
        $byPhone = [];
        foreach ($rung as $one) {
            $byPhone[$one->phone->id] = $one;
        }

        return $byPhone;
    }

    /**
     * Seconds of one ringing after which a phone may refuse; it did not in those before.
     *
     * @return list<int> the first one and the last one
     */
    private function refusals(string $phone, int $last): array
    {
        $first = $this->stand->walk->rungAtOnce()[$phone] ?? 0;

        return $first > $last ? [] : array_values(array_unique([$first, $last]));
    }

    /** Seconds that a phone rang before. */
    private function before(string $phone): int
    {
        return $this->stand->walk->rungSeconds()[$phone] ?? 0;
    }

    /** Whether it is still open what it does: one that was busy stays so. */
    private function isFree(string $phone): bool
    {
        return !isset($this->stand->acts->phones[$phone]);
    }
}
