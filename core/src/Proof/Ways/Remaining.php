<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Plan\Called;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Blank;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\AgainStep;
use Meandros\Core\Plan\Step\DialsPeople;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Proof\Ways\Question\Reachable;
use Meandros\Core\Routing\Frame;
use Meandros\Core\Routing\Itinerary;
use Meandros\Core\Routing\PlaceKept;
use Meandros\Core\Value\Lists;

/** What calls may still come to from a place: elements that its remaining steps mention, and what those mention. */
final class Remaining
{
    /** @var array<string, array<string, true>> by where a call is in its journeys */
    private array $of = [];
    /** @var array<string, Ahead> by where a call is in its journeys */
    private array $after = [];
    /** @var array<string, array<string, true>> by the name of a list and the place in it */
    private array $known = [];
    /** @var array<string, array<string, true>> by element, or number outside */
    private array $behind = [];
    /** @var array<string, true> our own numbers, as they are called by what was looked at */
    private array $ours = [];
    /** @var array<string, WhoRang> by where a call is in its journeys */
    private array $said = [];
    /** @var array<string, WhoRang> by the name of a list and the place in it */
    private array $saidOf = [];
    /** @var array<string, WhoRang> by element */
    private array $says = [];
    /** @var array<string, bool> whether callers may go back to a menu in it, by journey */
    private array $goesBack = [];
    /** @var \WeakMap<Step, list<string>> */
    private \WeakMap $mentions;

    public readonly Reachable $reachable;

    public function __construct(private readonly Plan $plan)
    {
        $this->reachable = new Reachable($plan);
        $this->mentions = new \WeakMap();
    }

    /**
     * @param PlaceKept|null $kept by the caller: it goes on after they have hung up
     *
     * @return array<string, true> by id, or number outside
     */
    public function of(Itinerary $way, ?PlaceKept $kept = null): array
    {
        $remaining = $this->of[$way->key()] ??= $this->ofAll($way->frames);

        return null === $kept ? $remaining : $remaining + $this->ofKept($kept);
    }

    /**
     * @param list<Frame> $frames
     *
     * @return array<string, true>
     */
    private function ofAll(array $frames): array
    {
        $mentioned = [];
        foreach ($frames as $frame) {
            $mentioned += $this->ofFrame($frame);
        }

        return $mentioned;
    }

    /** @return array<string, true> */
    private function ofFrame(Frame $frame): array
    {
        return $this->known[$frame->key()] ??= $this->behind($frame);
    }

    /** @return array<string, true> what a call comes to that goes on after the caller has hung up */
    public function ofKept(PlaceKept $kept): array
    {
        return $this->behindAll([$kept->queue]);
    }

    /** Whether calls may come in once more from there, by one of our own numbers. */
    public function comesBackIn(Itinerary $way, ?PlaceKept $kept): bool
    {
        // Only once it is known what remains, it is known which of that is ours.
        $remaining = $this->of($way, $kept);

        return [] !== array_intersect_key($this->ours, $remaining);
    }

    /** After the step that comes next. */
    public function after(Itinerary $way): Ahead
    {
        return $this->after[$way->key()] ??= $this->behindNext($way);
    }

    private function behindNext(Itinerary $way): Ahead
    {
        $frames = $way->frames;
        $last = array_pop($frames);
        $step = $last?->step();
        if (null === $last || null === $step) {
            return new Ahead([], []);
        }
        $straightOn = $this->ofAll([...$frames, $last->movedTo($last->at + 1)]);
        $mentioned = $this->passedOn($step) + $straightOn;
        foreach (array_keys($this->behindAll($this->mentions($step))) as $id) {
            // Whoever is asked may send it on into a journey.
            Kind::Journey === $this->plan->kindOf((string) $id) && ($mentioned += $this->behindAll([(string) $id]));
        }
        foreach ($step->exits()->items as $exit) {
            if ($step instanceof DialsPeople && DialsPeople::DIALLED !== $exit->on) {
                continue;
            }
            $mentioned += $this->behind(new Frame('', $last->journey, $exit->steps));
        }

        return new Ahead($mentioned, $straightOn);
    }

    /** @return array<string, true> what calls come to at one step that somebody's rules pass on to others, who may have rung with them */
    private function passedOn(Step $step): array
    {
        $isPassed = $step instanceof RingStep && $step->length->handOver;
        $person = $isPassed ? $this->plan->get(Person::class, $step->target?->element) : null;
        $to = [];
        foreach ($person->reach->rules ?? [] as $rule) {
            foreach ($rule->then as $outcome) {
                null === $outcome->to?->element || ($to[] = $outcome->to->element);
            }
        }

        return $this->behindAll($to);
    }

    /** What is said among it that may depend on who rang last. */
    public function says(Itinerary $way, ?PlaceKept $kept = null): WhoRang
    {
        $said = $this->said[$way->key()] ??= $this->saidOfAll($way->frames);

        return null === $kept ? $said : $said->and($this->saidOf($this->ofKept($kept)));
    }

    /** @param list<Frame> $frames */
    private function saidOfAll(array $frames): WhoRang
    {
        $said = new WhoRang();
        foreach ($frames as $frame) {
            $said = $said->and($this->saidOf[$frame->key()] ??= $this->saidOf($this->ofFrame($frame)));
        }

        return $said;
    }

    /** @param array<string, true> $remaining */
    private function saidOf(array $remaining): WhoRang
    {
        $said = new WhoRang();
        foreach (array_keys($remaining) as $id) {
            $one = $this->says[$id] ??= $this->saysWhoRang((string) $id);
            $one->isHeard() && ($said = $said->and($one));
        }

        return $said;
    }

    /** A mailbox may have a greeting for those who found somebody busy or out of reach, and a prompt a blank for the name. */
    private function saysWhoRang(string $id): WhoRang
    {
        return match ($this->plan->kindOf($id)) {
            Kind::Mailbox => new WhoRang($this->plan->get(Mailbox::class, $id)?->greetings->particular() ?? []),
            Kind::Prompt => new WhoRang([], true === $this->plan->get(Prompt::class, $id)?->says(Blank::Name)),
            default => new WhoRang(),
        };
    }

    /** @return array<string, true> */
    private function behind(Frame $frame): array
    {
        $journey = $this->plan->get(Journey::class, $frame->journey);
        // Whoever may go back to a menu may come to everything again.
        $steps =
            null !== $journey && ($this->goesBack[$journey->id()] ??= self::goesBack($journey->steps))
                ? $journey->steps
                : new StepList(\array_slice($frame->list->steps, $frame->at));
        $lists = [$steps];
        // After a part of a step its exits come.
        foreach (null === $frame->owner?->since ? [] : $frame->owner->step->exits()->items as $exit) {
            Lists::has([null, $exit->on], $frame->owner?->exit) && ($lists[] = $exit->steps);
        }
        $next = [];
        foreach ($lists as $list) {
            foreach ($list->everyStep('') as $step) {
                array_push($next, ...$this->mentions($step));
            }
        }

        return $this->behindAll($next);
    }

    /**
     * @param list<string> $ids elements, or numbers outside
     *
     * @return array<string, true> these, and all that is mentioned behind them
     */
    public function behindAll(array $ids): array
    {
        $mentioned = [];
        foreach ($ids as $id) {
            $mentioned += $this->behind[$id] ??= $this->behindOne($id);
        }

        return $mentioned;
    }

    /** @return array<string, true> with the element itself */
    private function behindOne(string $first): array
    {
        $mentioned = [];
        $next = [$first];
        while (null !== ($id = array_pop($next))) {
            if (isset($this->behind[$id])) {
                $mentioned += $this->behind[$id];
            } elseif (!isset($mentioned[$id])) {
                $mentioned[$id] = true;
                // A number outside is none; one of our own leads further.
                $element = $this->plan->find($id) ?? $this->ours($id);
                // Numbers outside are no elements to which another refers.
                null === $element || array_push($next, ...array_values(Called::by($element)));
                foreach ($element?->references() ?? [] as $reference) {
                    self::leadsOn($element, $reference) && ($next[] = $reference->id);
                }
            }
        }

        return $mentioned;
    }

    /** A mailbox rings nobody, but for the key that leaves it; and a number that is only shown is not called. */
    private static function leadsOn(?Element $element, Reference $reference): bool
    {
        return (!($element instanceof Mailbox) || str_starts_with($reference->pointer, '/keys/')) &&
            !str_ends_with($reference->pointer, '/shows');
    }

    /** One of our own numbers that is called as one outside is. */
    private function ours(string $number): ?Element
    {
        $ours = str_starts_with($number, '+') ? $this->plan->dialled($number) : null;
        null === $ours || ($this->ours[$number] = true);

        return $ours;
    }

    private static function goesBack(StepList $steps): bool
    {
        foreach ($steps->everyStep('') as $step) {
            if ($step instanceof AgainStep) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> elements by id, and numbers outside, which are none */
    public function mentions(Step $step): array
    {
        return $this->mentions[$step] ??= $this->mentionedAt($step);
    }

    /** @return list<string> */
    private function mentionedAt(Step $step): array
    {
        $ids = array_map(static fn(Reference $one): string => $one->id, $step->references(''));
        $taken = $step->takenBy();
        $dial = $step instanceof DialsPeople ? $step->dials() : null;

        return [
            ...$ids,
            ...null === $taken ? [] : [$taken],
            ...array_map(
                static fn(Person $one): string => $one->id(),
                null === $dial ? [] : $this->reachable->people($dial),
            ),
        ];
    }
}
