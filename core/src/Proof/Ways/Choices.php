<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\KeyPress;
use Meandros\Core\Routing\Happening\Happening;
use Meandros\Core\Routing\Heeded;

/**
 * Everything that may be done at one step: whatever is open in a run of it is answered in every way, and what is open then. Runs
 * that came alike to the same question go on from the soonest and the latest of them.
 */
final class Choices
{
    private const MOST_RUNS = 5000;

    /** Whether whatever may be done at the step was tried. */
    public bool $areAll = true;
    /** @var array<string, Run> by acts */
    private array $tried = [];

    /**
     * @param \Closure(Acts): Run $take     takes the step
     * @param bool                $bySecond whether runs that come at other seconds go on otherwise
     */
    public function __construct(
        private readonly \Closure $take,
        public readonly Stand $stand,
        public readonly Assumptions $given,
        private readonly Questions $questions,
        public readonly Later $later,
        private readonly bool $bySecond,
    ) {}

    /** @return list<Run> that leave nothing open */
    public function all(): array
    {
        $runs = $next = $seen = [];
        $this->goOn(new Acts(), $next, $runs);
        while ([] !== ($open = $this->unseen($next, $seen))) {
            $next = [];
            foreach ($open as $asking) {
                $question = $this->questions->of($asking->what);
                $isTooMuch = \count($this->tried) > self::MOST_RUNS;
                $this->areAll = $this->areAll && !$isTooMuch && true === $question?->areAll($asking);
                if ($isTooMuch) {
                    $runs[spl_object_id($asking->run)] = $asking->run;
                    continue;
                }
                foreach ($question?->answers($asking) ?? [] as $answer) {
                    $this->goOn($asking->acts->then($answer), $next, $runs);
                }
            }
        }

        return array_values($runs);
    }

    public function try(Acts $acts): Run
    {
        return $this->tried[$acts->key()] ??= ($this->take)($acts);
    }

    /**
     * @param array<string, non-empty-array<int, Asking>> $next by how runs came there, and by second
     * @param array<int, Run>                             $runs that leave nothing open
     */
    private function goOn(Acts $acts, array &$next, array &$runs): void
    {
        $run = $this->try($acts);
        $asking = $this->firstOpen($run, $acts);
        if (null === $asking) {
            $runs[spl_object_id($run)] = $run;

            return;
        }
        $since = $this->questions->of($asking->what)?->since($asking) ?? $asking->since;
        $next[$this->shape($run, $asking)][$since] ??= $asking;
    }

    /**
     * The soonest and the latest of those that came alike. Whoever comes again to where they were within one step may go round:
     * that is not followed.
     *
     * @param array<string, non-empty-array<int, Asking>> $next
     * @param array<string, true>                         $seen
     *
     * @return list<Asking>
     */
    private function unseen(array $next, array &$seen): array
    {
        $unseen = [];
        foreach ($next as $shape => $bySecond) {
            $this->areAll = $this->areAll && !isset($seen[$shape]);
            if (!isset($seen[$shape])) {
                $seen[$shape] = true;
                ksort($bySecond);
                $all = array_values($bySecond);
                array_push($unseen, ...1 === \count($all) ? $all : [$all[0], $all[\count($all) - 1]]);
            }
        }

        return $unseen;
    }

    /** What happened first of which it is not settled what is done there; null where everything is. */
    private function firstOpen(Run $run, Acts $acts): ?Asking
    {
        $keys = $meanwhile = 0;
        $heeded = $run->walk->heeded();
        foreach ([...$run->walk->events(), null] as $i => $event) {
            while (isset($heeded[$meanwhile]) && $heeded[$meanwhile]->events <= $i) {
                $asking = $this->open($run, $acts, $heeded[$meanwhile], $heeded[$meanwhile]->from, $meanwhile);
                ++$meanwhile;
                if (null !== $asking) {
                    return $asking;
                }
            }
            if (null !== $event) {
                $asking = $this->open($run, $acts, $event->happening, $event->second, $keys);
                if (null !== $asking) {
                    return $asking;
                }
                true === $this->questions->of($event->happening)?->takesKey() && ++$keys;
            }
        }

        return null;
    }

    private function open(Run $run, Acts $acts, Happening|Heeded $what, int $since, int $place): ?Asking
    {
        $question = $this->questions->of($what);
        $asking =
            null === $question
                ? null
                : new Asking($this, $run, $acts, $what, $since - $this->stand->walk->second(), $place);

        return null === $question || null === $asking || null === $question->about($asking) ? null : $asking;
    }

    /** @return list<KeyPress> keys that are pressed while what is asked goes on */
    private function toCome(Run $run, Asking $asking): array
    {
        $keys = [];
        foreach ($run->walk->heeded() as $place => $heeded) {
            $isOver = $heeded->until - $this->stand->walk->second() <= $asking->since;
            $isOver || !isset($asking->acts->meanwhile[$place]) || ($keys[] = $asking->acts->meanwhile[$place]);
        }

        return $keys;
    }

    /** Equal for runs that came alike to the same question, be it at other seconds. */
    private function shape(Run $run, Asking $asking): string
    {
        $asked = null;
        $came = [];
        $isInside = false;
        $journey = $this->stand->way->next()[0] ?? null;
        foreach ($run->walk->events() as $event) {
            if ($event->happening === $asking->what) {
                break;
            }
            $isInside = $isInside || $event->journey !== $journey;
            if (true === $this->questions->of($event->happening)?->takesKey()) {
                // Of tries at a menu only the last one counts.
                $asked = $event->happening->kind();
                continue;
            }
            $what = null === $this->questions->of($event->happening) ? [] : $event->happening->what();
            unset($what['seconds']);
            if (!$this->later->tellsWhoRang && !$isInside) {
                unset($what['exit']);
            }
            $came[serialize([$event->journey, $event->step, $what])] = true;
        }

        return serialize([
            $this->questions->of($asking->what)?->about($asking),
            $asked,
            array_keys($came),
            $this->toCome($run, $asking),
            $this->bySecond || $isInside ? $asking->since : null,
        ]);
    }
}
