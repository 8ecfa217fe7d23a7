<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\TooMuchWork;
use Meandros\Core\Routing\Walk;

/** The step that comes next at a place, tried in one way after the other, and what counted in any of them. */
final class Tries
{
    /** @var array{int, int} seconds of the call between which whatever is looked up is the same: the first, and the first after */
    public array $same = [\PHP_INT_MIN, \PHP_INT_MAX];
    /** @var array<string, true> owners of phones, and numbers outside, of which it was looked at what they do */
    public array $lookedAt = [];
    /** @var array<string, Prompt> that callers heard, by id */
    public array $heard = [];
    /** What else counts by which places may differ that are alike otherwise. */
    public bool $usesTag = false;
    public bool $usesWay = false;
    /** Whether callers may have been let into a queue: it counts whether its agents may be asked again. */
    public bool $usesQueue = false;
    /** Whether a phone that rang together with others was looked at again in the same second: it matters what each of them did. */
    public bool $looksAgain = false;
    /** @var array<string, Untried> why not everything was among the choices, by that */
    public array $untried = [];

    public function __construct(
        private readonly Router $router,
        private readonly Stand $stand,
        private readonly Assumptions $given,
        private readonly LookedAt $looked,
        private readonly Allowance $allowance,
    ) {}

    /** @throws TooMuchWork when as much was tried as may be */
    public function take(Acts $acts): Run
    {
        if ($this->allowance->isSpent()) {
            throw new TooMuchWork(null);
        }
        $walk = $this->stand->walk->goingOn($this->assumes($acts));
        $since = $walk->second();
        [$onward, $ending] = $this->walk($walk);
        $this->allowance->ran($walk);
        $there = ($walk->kept()->since ?? $walk->second()) - $since;
        $hungUp = EndingKind::CallerGaveUp === $ending?->kind;
        if (null !== $ending && $walk->goesOnAfter($ending)) {
            try {
                $ending = $walk->hungUp($ending);
            } catch (CallOver $over) {
                $ending = $over->ending;
            }
        }
        $asked = $acts->asked(
            $walk->second() - $since,
            $walk->keys->menus() - $this->stand->walk->keys->menus(),
            \count($walk->keys->heeded()),
            $this->open($walk),
            $hungUp,
        );
        $this->note($walk);

        return new Run($asked, $walk, $onward, $walk->second() - $since, $ending, $there);
    }

    /** What phones did in the second in which calls come there is settled; after it they ring, unless it is said what they do. */
    private function assumes(Acts $acts): Assumptions
    {
        $now = $this->stand->justNow->did;
        if ([] !== $now) {
            $ring = static fn(PhoneAssumption $one): PhoneAssumption => new PhoneAssumption(
                $one->who,
                Behaviour::Rings,
            );
            $acts = Acts::ringing($now)->then(Acts::ringing(array_map($ring, $now), 1))->then($acts);
        }

        return $acts->after($this->stand->acts, $this->stand->walk->second(), $this->given);
    }

    /** @return array{Onward, Ending|null} */
    private function walk(Walk $walk): array
    {
        $way = $this->stand->way;
        try {
            $onward = $this->router->take($walk, $way);
        } catch (CallOver $over) {
            return [Onward::next(), $over->ending];
        }
        if (null !== $walk->kept()) {
            // Where it ends then, something else goes on.
            $next = $way->after($onward, $walk->plan, 0);

            return [$onward, null === $next->next() ? $next->ending ?? new Ending(EndingKind::RanOut) : null];
        }

        return [$onward, $onward->ending];
    }

    /** What counted in a run. */
    private function note(Walk $walk): void
    {
        $same = $walk->lookups->isSame();
        $this->same = [max($this->same[0], $same[0]), min($this->same[1], $same[1])];
        $this->heard += $walk->heard();
        $this->usesTag = $this->usesTag || $walk->usesTag();
        $this->usesWay = $this->usesWay || null !== $walk->kept();
        $again = Again::within($this->stand, $walk, $this->given);
        null === $again || $this->leaves($again);
        if (null === $this->stand->walk->kept() && $walk->whenHungUp()?->from > $walk->kept()?->since) {
            $this->leaves(Untried::AfterPlaceKept);
        }
    }

    private function leaves(Untried $why): void
    {
        $this->untried[$why->value] = $why;
    }

    /** @return array<string, int> phones of which it is not settled what they did, with seconds since the step began until it was looked at first */
    private function open(Walk $walk): array
    {
        $open = $rang = [];
        $began = $this->stand->walk->second();
        foreach ($walk->events() as $event) {
            $this->usesQueue = $this->usesQueue || $event->happening instanceof QueueEntered;
            $phones = $this->looked->phones($event->happening);
            if ([] === $phones) {
                continue;
            }
            $together = $this->together($rang[$event->second] ?? []);
            // Of rounds of ringing, only the first is told.
            $isAgain =
                $event->second === $began &&
                [] !== $this->stand->justNow->did &&
                $this->looked->last($event, $walk) > $began;
            foreach ($phones as $phone) {
                $this->lookedAt[explode('/', $phone)[0]] = true;
                $isKept = $event->second === $began && isset($this->stand->justNow->did[$phone]);
                $with = $together[$phone] ?? ($isKept ? $this->stand->justNow->together[$phone] ?? null : null);
                $this->looksAgain =
                    $this->looksAgain ||
                    (null !== $with &&
                        !($this->looked->isPlain($event->happening) && [] === array_diff($with, $phones)));
                $isKept || ($open[$phone] ??= $event->second - $began);
                $isKept && $isAgain && ($open[$phone] = 1);
            }
            if ($event->happening instanceof Ringing && null === $event->happening->why->turn) {
                $rang[$event->second][] = $event->happening;
            }
        }
        foreach ($walk->rung->latest() as [$rung, $dialled]) {
            $this->lookedAt[explode('/', $rung->phone->id)[0]] = true;
            // Nor is it told of everybody who is asked for a queue.
            if ($dialled > $began && isset($this->stand->justNow->did[$rung->phone->id])) {
                $open[$rung->phone->id] = 1;
            }
        }

        return $open;
    }

    /**
     * @param list<Ringing> $rang
     *
     * @return array<string, list<string>> phones that rang together in one of them, with all of these
     */
    private function together(array $rang): array
    {
        $together = [];
        foreach ($rang as $what) {
            $together += $this->looked->together($what);
        }

        return $together;
    }
}
