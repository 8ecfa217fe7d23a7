<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\KeyPress;
use Meandros\Core\Call\QueueState;
use Meandros\Core\Routing\Happening\Happening;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Heeded;
use Meandros\Core\Routing\HungUp;
use Meandros\Core\Routing\TooMuchWork;

/**
 * Everything that may be done at one step: whatever is open in a run of it is answered in every way, and what is open then. Runs
 * that came alike to the same question go on from the soonest and the latest of them.
 */
final class Choices
{
    private const MOST_RUNS = 5000;

    /** @var array<string, Untried> why not whatever may be done at the step was tried, by that */
    public array $untried = [];
    /** @var array<string, Run> by acts */
    private array $tried = [];
    /** @var array<string, array<string, true>> by how runs came to a question: how they came to the next ones */
    private array $on = [];
    /** @var array<string, array<int, Run>> by how runs came to a question: those that leave nothing open after it */
    private array $over = [];
    /** @var array<string, int> questions to which runs came, and the soonest second at which one did */
    private array $came = [];
    /** @var array<string, true> questions to which runs come again and again, ever later */
    private array $around = [];
    private readonly Leads $leads;

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
    ) {
        $this->leads = new Leads();
    }

    /** @return list<Run> that leave nothing open; those that are like others come after them */
    public function all(): array
    {
        $next = $seen = [];
        foreach (null !== $this->stand->walk->kept() ? [new Acts(), Acts::hangingUp()] : [new Acts()] as $begin) {
            $this->goOn($begin, '', $next);
        }
        while ([] !== $next) {
            $first = $this->first($next);
            $open = $this->unseen([$first => $next[$first]], $seen);
            unset($next[$first]);
            foreach ($open as [$shape, $asking]) {
                try {
                    $this->answer($asking, $shape, $next);
                } catch (TooMuchWork) {
                    $this->leaves(Untried::TooManyWays);
                    $this->over[$shape][spl_object_id($asking->run)] = $asking->run;
                }
            }
        }

        $runs = array_replace(...array_values($this->over));
        $isLike = static fn(Run $run): bool => null !== $run->like;

        return [...array_filter($runs, static fn(Run $run): bool => !$isLike($run)), ...array_filter($runs, $isLike)];
    }

    /**
     * The question whose turn is first, and of these the one to which the latest come soonest: whoever may still come later to another one
     * has been through it before.
     *
     * @param non-empty-array<string, non-empty-array<int, array{string, Asking}>> $next by how runs came there, and by second
     */
    private function first(array $next): string
    {
        $place = [];
        foreach ($next as $key => $bySecond) {
            $last = max(array_keys($bySecond));
            $asking = $bySecond[$last][1];
            $place[$key] = [$this->questions->of($asking->what)?->turn($asking), $last];
        }

        return (string) array_search(min($place), $place, true);
    }

    /**
     * @param array<string, non-empty-array<int, array{string, Asking}>> $next by how runs came there, and by second
     *
     * @throws TooMuchWork when as much was tried as may be
     */
    private function answer(Asking $asking, string $shape, array &$next): void
    {
        if (\count($this->tried) > self::MOST_RUNS) {
            throw new TooMuchWork(null);
        }
        $question = $this->questions->of($asking->what);
        $this->leaves($question?->untried($asking));
        foreach ($question?->answers($asking) ?? [] as $answer) {
            if ($answer instanceof Lead) {
                $this->leadOn($asking, $answer, $shape, $next);
            } else {
                $this->goOn($asking->acts->then($answer), $shape, $next);
            }
        }
    }

    /**
     * Keys that lead to the same are tried once.
     *
     * @param array<string, non-empty-array<int, array{string, Asking}>> $next by how runs came there, and by second
     *
     * @throws TooMuchWork when as much was tried as may be
     */
    private function leadOn(Asking $asking, Lead $lead, string $shape, array &$next): void
    {
        $run = $this->bySecond ? null : $this->leads->find($lead, $asking);
        if (null !== $run) {
            $this->over[$shape][spl_object_id($run)] = $run;

            return;
        }
        $run = $this->goOn($asking->acts->then($lead->acts), $shape, $next);
        null === $run || $this->leads->add($lead, $asking, $run);
    }

    /** @return array<int, true> runs that come after something to which calls may come as often as they like, by their object's id */
    public function afterRounds(): array
    {
        $after = [];
        foreach ($this->following(array_keys($this->around)) as $shape => $_) {
            $after += array_fill_keys(array_keys($this->over[$shape] ?? []), true);
        }

        return $after;
    }

    private function leaves(?Untried $why): void
    {
        null === $why || ($this->untried[$why->value] = $why);
    }

    public function try(Acts $acts): Run
    {
        return $this->tried[$acts->key()] ??= ($this->take)($acts);
    }

    /**
     * @param array<string, non-empty-array<int, array{string, Asking}>> $next by how runs came there, and by second
     *
     * @return Run|null the step taken so; null where something is open in it
     */
    private function goOn(Acts $acts, string $from, array &$next): ?Run
    {
        $run = $this->try($acts);
        $asking = $this->firstOpen($run, $acts);
        if (null === $asking) {
            return $this->over[$from][spl_object_id($run)] = $run;
        }
        $since = $this->questions->of($asking->what)?->since($asking) ?? $asking->since;
        [$shape, $isBySecond] = $this->shape($run, $asking);
        $this->on[$from][$shape] = true;
        $next[$shape . ($isBySecond ? "\n" . $asking->since : '')][$since] ??= [$shape, $asking];

        return null;
    }

    /**
     * The soonest and the latest of those that came alike, also where others did before by fewer questions. Those who come again to
     * where they were go round: that is not followed.
     *
     * @param array<string, non-empty-array<int, array{string, Asking}>> $next
     * @param array<string, array{int, int, Asking}>                     $seen the soonest and the latest so far, and the soonest itself
     *
     * @return list<array{string, Asking}>
     */
    private function unseen(array $next, array &$seen): array
    {
        $unseen = [];
        foreach ($next as $key => $bySecond) {
            [$first, $last] = [min(array_keys($bySecond)), max(array_keys($bySecond))];
            [$soonest, $latest] = $seen[$key] ?? [\PHP_INT_MAX, -1, null];
            if ($first >= $soonest && $last <= $latest) {
                continue;
            }
            $shape = $bySecond[$first][0];
            if (isset($this->came[$shape], $this->following([$shape], false)[$shape])) {
                $this->around[$shape] = true;
                if ($first >= $this->came[$shape]) {
                    continue;
                }
                // It is sooner by another way.
                $last = $first;
            }
            $this->came[$shape] = min($first, $this->came[$shape] ?? $first);
            $seen[$key] = [
                min($first, $soonest),
                max($last, $latest),
                $first < $soonest ? $bySecond[$first][1] : $seen[$key][2],
            ];
            foreach (array_unique([$first, $last]) as $second) {
                [, $asking] = $bySecond[$second];
                $asking->isSoonest = $second === $first && $second < $soonest;
                $asking->isLatest = $second === $last && $second > $latest;
                $asking->soonest = $asking->isSoonest ? null : $seen[$key][2];
                if ($asking->isSoonest || $asking->isLatest) {
                    $unseen[] = $bySecond[$second];
                }
            }
        }

        return $unseen;
    }

    /**
     * @param list<string> $shapes
     *
     * @return array<string, true> to which runs come after one of these; with them, or only where they come to them again
     */
    private function following(array $shapes, bool $withThem = true): array
    {
        $found = $withThem ? array_fill_keys($shapes, true) : [];
        while (null !== ($shape = array_pop($shapes))) {
            foreach ($this->on[$shape] ?? [] as $next => $_) {
                isset($found[$next]) || ($shapes[] = $next);
                $found[$next] = true;
            }
        }

        return $found;
    }

    /** What happened first of which it is not settled what is done there; null where everything is. */
    private function firstOpen(Run $run, Acts $acts): ?Asking
    {
        $keys = $meanwhile = 0;
        $heeded = $run->walk->keys->heeded();
        $hungUp = $run->walk->whenHungUp();
        $events = $run->walk->events();
        for ($i = 0, $count = \count($events); $i <= $count; ++$i) {
            while (isset($heeded[$meanwhile]) && $heeded[$meanwhile]->events <= $i) {
                $asking = $this->open($run, $acts, $heeded[$meanwhile], $heeded[$meanwhile]->from, $meanwhile);
                ++$meanwhile;
                if (null !== $asking) {
                    return $asking;
                }
            }
            $asking = $hungUp?->events === $i ? $this->open($run, $acts, $hungUp, $hungUp->from, 0) : null;
            if (null !== $asking) {
                return $asking;
            }
            $question = isset($events[$i]) ? $this->questions->of($events[$i]->happening) : null;
            if (null !== $question) {
                $asking = $this->open($run, $acts, $events[$i]->happening, $events[$i]->second, $keys);
                if (null !== $asking) {
                    return $asking;
                }
                $question->takesKey() && ++$keys;
            }
        }

        return null;
    }

    private function open(Run $run, Acts $acts, Happening|Heeded|HungUp $what, int $since, int $place): ?Asking
    {
        $question = $this->questions->of($what);
        if (null === $question) {
            return null;
        }
        $asking = new Asking($this, $run, $acts, $what, $since - $this->stand->walk->second(), $place);
        $asking->about = $question->about($asking);

        return null === $asking->about ? null : $asking;
    }

    /** @return list<KeyPress> keys that are pressed while what is asked goes on */
    private function toCome(Run $run, Asking $asking): array
    {
        $keys = [];
        foreach ($run->walk->keys->heeded() as $place => $heeded) {
            $isOver = $heeded->until - $this->stand->walk->second() <= $asking->since;
            $isOver ||
                !isset($asking->acts->presses->meanwhile[$place]) ||
                ($keys[] = $asking->acts->presses->meanwhile[$place]);
        }

        return $keys;
    }

    /** Whether phones rang before within the step, in the very second in which calls came here, that may be rung again in it. */
    private function isRungAgainAtOnce(Run $run, Asking $asking): bool
    {
        if (0 !== $asking->since || !($asking->what instanceof Ringing)) {
            return false;
        }
        foreach ($run->walk->events() as $event) {
            if ($event->happening === $asking->what) {
                break;
            }
            foreach ($event->happening instanceof Ringing ? $event->happening->rung : [] as $rung) {
                if ($this->later->rings($rung->phone->id)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array{string, bool} equal for runs that came alike to the same question, be it at other seconds; and whether that matters */
    private function shape(Run $run, Asking $asking): array
    {
        $came = [];
        $isInside = false;
        $journey = $this->stand->way->next()[0] ?? null;
        foreach ($run->walk->events() as $i => $event) {
            $isHungUp = $asking->what instanceof HungUp && $i === $asking->what->events;
            if ($isHungUp || $event->happening === $asking->what) {
                break;
            }
            $isInside = $isInside || $event->journey !== $journey;
            $question = $this->questions->of($event->happening);
            if (null === $question || $question->takesKey()) {
                // How they came there is no matter, nor what was pressed before: a try of a menu tells by itself what is heard in it.
                continue;
            }
            $what = $event->happening->what();
            unset($what['seconds']);
            if (!$this->later->tellsWhoRang && !$isInside) {
                unset($what['exit']);
            }
            $came[serialize([$event->journey, $event->step, $what])] = true;
        }

        $shape = serialize([
            $asking->about,
            array_keys($came),
            $this->isRungAgainAtOnce($run, $asking),
            $this->toCome($run, $asking),
            // Whether callers take the call back is settled before it is tried.
            array_map(
                static fn(QueueState $one): array => [$one->caller->picksUp, $one->caller->onTry],
                $asking->acts->stated->queues,
            ),
        ]);

        return [$shape, $this->bySecond || $isInside];
    }
}
