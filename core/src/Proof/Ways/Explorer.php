<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\NotTried;
use Meandros\Core\Proof\Ways\Question\OneWayOn;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Router;

/**
 * Every place to which calls may come between two steps, and the legs between them. Calls that stand at the same step and go
 * on alike stand at the same place, however they came there: a journey of many steps has few places.
 */
final class Explorer
{
    /** The key of where it begins. */
    private string $start = '';
    /** @var array<string, Stand> by key, in the order in which they were found */
    public array $stands = [];
    /** @var array<string, NotTried> what callers and phones may do that was not among the choices, by where that is and why */
    public array $notTried = [];
    /** Whether a phone that rang together with others was looked at again in the same second: it matters what each of them did. */
    public bool $looksAgain = false;
    /** @var array<string, list<Taken>> by what places have in common: their steps, taken in every way */
    private array $taken = [];
    private readonly Remaining $remaining;
    private readonly Questions $questions;
    private readonly LookedAt $lookedAt;
    private readonly Allowance $allowance;
    private readonly Covered $covered;
    /** To all that was found; null while more may be. */
    private ?Soonest $soonest = null;

    /**
     * @param bool $bySecond whether calls that come at other seconds stand at other places
     * @param bool $mixes    whether phones that ring together are tried doing one thing each, as they are looked at again
     */
    public function __construct(
        private readonly Router $router,
        private readonly Plan $plan,
        private readonly Assumptions $given,
        private readonly bool $bySecond,
        private readonly bool $mixes,
    ) {
        $this->remaining = new Remaining($plan);
        $this->questions = new Questions($this->remaining->reachable);
        $this->lookedAt = new LookedAt($plan);
        $this->allowance = new Allowance($bySecond);
        $this->covered = new Covered();
    }

    public function explore(Stand $first): void
    {
        $this->start = $start = $this->key($first);
        $this->stands[$start] = $first;
        $next = [$start];
        while ([] !== $next && $this->follow($next)) {
            $this->soonest = new Soonest($this->stands, $start);
            $next = $this->covered->open($this->stands, $this->soonest, [] === $this->notTried);
        }
    }

    public function routes(): Routes
    {
        return new Routes($this->stands, $this->start, $this->soonest ?? new Soonest($this->stands, $this->start));
    }

    /**
     * From these places on, but for those that are covered by others.
     *
     * @param list<string> $next keys
     *
     * @return bool whether all of them were followed
     */
    private function follow(array $next): bool
    {
        $this->soonest = null;
        while (null !== ($key = array_pop($next))) {
            $stand = $this->stands[$key];
            foreach ($this->expand($stand) as $found => $new) {
                $this->stands[$found] = $new;
                if ($new->key === $new->beside) {
                    $next[] = $found;
                } else {
                    $this->covered->add($new);
                }
            }
            if ($this->looksAgain && !$this->mixes) {
                // It is explored once more, with them.
                return false;
            }
            if ($this->isSpent()) {
                $this->leaves(Untried::TooManyWays, $stand);

                return false;
            }
        }

        return true;
    }

    /** Whether as much was tried as may be. */
    public function isSpent(): bool
    {
        return $this->allowance->isSpent();
    }

    /** @return array<string, Stand> that were not known, by key */
    private function expand(Stand $stand): array
    {
        if (null === $stand->way->next()) {
            $stand->ends($stand->way->ending ?? new Ending(EndingKind::RanOut), Leg::of(0, new Acts()), false);

            return [];
        }
        $taken = $this->takenAlike($stand);
        $stand->looks($taken->same());
        $stand->stays($taken->there);
        foreach ($taken->untried as $why) {
            $this->leaves($why, $stand);
        }
        $isFromHere = $taken->from === $stand;
        $isSameWay = $taken->from->way->key() === $stand->way->key();
        $new = [];
        foreach ($taken->outcomes as $one) {
            if (null !== $one->run->ending) {
                $stand->ends($one->run->ending, $one->leg, $one->afterRounds);
                continue;
            }
            $reached =
                $isFromHere && null !== $one->reached
                    ? $one->reached
                    : $this->reached($one, $stand, $isSameWay ? $one->reached : null);
            if (null === $reached->way->next()) {
                // Nothing is left to do.
                $stand->ends($reached->way->ending ?? new Ending(EndingKind::RanOut), $one->leg, $one->afterRounds);
                null === $stand->walk->kept() && $stand->stays($one->leg);
                continue;
            }
            $key = $reached === $one->reached ? $reached->key : $this->key($reached);
            $key = $this->bySecond ? $reached->wasBefore() ?? $key : $key;
            $stand->leads($key, $one->leg, $one->afterRounds);
            if (!isset($this->stands[$key]) && !isset($new[$key])) {
                $new[$key] = $reached;
            }
        }

        return $new;
    }

    /** The step that comes next, taken in every way: from here, or from a place that is like it. */
    private function takenAlike(Stand $stand): Taken
    {
        $like = $this->like($stand);
        $after = $this->remaining->after($stand->way);
        foreach ($this->taken[$like] ?? [] as $taken) {
            if ($taken->isSoFrom($stand, $after)) {
                return $taken;
            }
        }

        return $this->taken[$like][] = $this->take($stand);
    }

    private function take(Stand $stand): Taken
    {
        $after = $this->remaining->after($stand->way);
        $tries = new Tries($this->router, $stand, $this->given, $this->lookedAt, $this->allowance);
        $choices = new Choices(
            $tries->take(...),
            $stand,
            $this->given,
            $this->questions,
            new Later(
                $this->remaining->says($stand->way)->isHeard(),
                $after->all,
                $this->mixes,
                !$this->bySecond && $this->isOneWayOn($stand),
            ),
            $this->bySecond,
        );
        $all = $choices->all();
        $afterRounds = $choices->afterRounds();
        $this->looksAgain = $this->looksAgain || $tries->looksAgain;
        $taken = new Taken($stand, $tries, $after, $choices->untried + $tries->untried);
        $comesTo = [];
        foreach ($all as $run) {
            $leg = Leg::of($run->seconds, $run->acts);
            $kept = $run->walk->kept();
            $isAfterRounds = isset($afterRounds[spl_object_id($run)]);
            if (null === $stand->walk->kept() && (null !== $run->ending || null !== $kept)) {
                $taken->stays(Leg::of($run->there, $run->acts));
            }
            if (null !== $run->ending) {
                $taken->comesTo(Stand::keyOf($run->ending), new Outcome($run, $leg, $isAfterRounds));
                continue;
            }
            if (null !== $run->like) {
                $what = $comesTo[spl_object_id($run->like)] ?? null;
                null === $what || $taken->comesTo($what, new Outcome($run, $leg, $isAfterRounds));
                continue;
            }
            $why = match (true) {
                isset($this->given->circumstances->queues[$kept?->queue]) => Untried::AfterPlaceKept,
                Again::later($run, $after->all, null === $kept ? [] : $this->remaining->ofKept($kept))
                    => Untried::AgentAgain,
                default => null,
            };
            if (null !== $why) {
                $taken->untried[$why->value] = $why;
                continue;
            }
            $acts = $stand->acts->then($run->acts->withoutPhones()->later($stand->walk->second()));
            $justNow = $this->lookedAt->justNow($run->walk, $run->acts, $stand->justNow);
            $one = new Outcome($run, $leg, $isAfterRounds, $acts, $justNow);
            $reached = $this->reached($one, $stand);
            $what = implode("\n", [$this->key($reached), 0 === $run->seconds ? 'at once' : '', $run->onward->key()]);
            $comesTo[spl_object_id($run)] = $what;
            $one->reached = $reached;
            $taken->comesTo($what, $one);
        }

        return $taken;
    }

    /**
     * Where calls stand after a step that was taken from here, or from a place that is like this one.
     *
     * @param Stand|null $like where those stand that come from there, if the same steps are left here; null where others are, or it was here
     */
    private function reached(Outcome $one, Stand $stand, ?Stand $like = null): Stand
    {
        $walk = $one->run->walk;
        $way =
            $like->way ??
            $stand->way->after($one->run->onward, $this->plan, $stand->way->within() ?? $stand->walk->second());
        $arrival = $stand->walk->arrival();
        $isAtOnce = 0 === $one->run->seconds;
        $justNow = $isAtOnce ? $one->justNow->after($stand->justNow) : $like->justNow ?? $one->justNow;
        $isKnown = $justNow === $like?->justNow || $justNow->isNothing();
        $reached = new Stand(
            $walk->usesTag() || $walk->arrival() === $arrival ? $walk : $walk->arrived($arrival),
            $way,
            $one->acts,
            $isKnown ? $justNow : $justNow->of($this->remaining->of($way, $walk->kept())),
        );
        $reached->before = $stand;
        $reached->carries = $like->carries ?? '';

        return $reached;
    }

    private function leaves(Untried $why, Stand $stand): void
    {
        [$journey, $step] = $stand->way->place() ?? [null, null];
        $this->notTried[$why->value . ' ' . $journey . ' ' . $step] ??= new NotTried($why, $journey, $step);
    }

    /** Of a place; names it. */
    private function key(Stand $stand): string
    {
        $arrival = $stand->walk->arrival();
        // A language that was put on it still holds where it comes in once more; until then it is the one in which the call is.
        $comesBackIn = $this->remaining->comesBackIn($stand->way, $stand->walk->kept());
        $language = $comesBackIn ? $arrival->tag->language : $arrival->language;
        $same = implode("\n", [$stand->way->key(), $language, $this->carries($stand), '']);
        $stand->name = $same . $stand->did();
        $second = $this->bySecond ? "\n" . $stand->walk->second() : '';
        $stand->beside = $same . $second;

        return $stand->key = $stand->name . $second;
    }

    /** What calls carry that stand at a place, as far as it counts for what they may still come to. */
    private function carries(Stand $stand): string
    {
        if ('' !== $stand->carries) {
            return $stand->carries;
        }
        $kept = $stand->walk->kept();
        $whoRang = $this->remaining->says($stand->way, $kept);
        $stated = $stand->acts->stated;
        $given = $this->given->circumstances->queues;
        $also = [
            [] === $stated->queues
                ? []
                : array_intersect_key($stated->queues, $this->remaining->of($stand->way, $kept)),
            [] === $given ? [] : array_intersect($stand->walk->roster->cameTo(), array_keys($given)),
            $stated->parked,
            $stated->isFax,
        ];

        return $stand->carries =
            $stand->walk->condition($whoRang->exits, $whoRang->name) .
            ([[], [], null, null] === $also ? '' : serialize($also));
    }

    /**
     * Equal for places at which the same step comes next and may lead to the same, but for what Taken asks: it is no matter what comes
     * after it, but for what that says.
     */
    private function like(Stand $stand): string
    {
        return implode("\n", [
            $stand->way->nextKey(),
            $this->carries($stand),
            $this->remaining->says($stand->way)->isHeard() ? 'heard' : '',
            $this->isOneWayOn($stand) ? 'one way on' : '',
            $this->bySecond ? $stand->walk->second() : '',
        ]);
    }

    /** Whether calls go on alike from there whatever becomes of ringing. */
    private function isOneWayOn(Stand $stand): bool
    {
        return !$this->remaining->says($stand->way)->isHeard() && !$stand->way->tellsExits(OneWayOn::EXITS);
    }
}
