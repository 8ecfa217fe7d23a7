<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\DialsPeople;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Plan\Step\StepExit;
use Meandros\Core\Plan\Step\StepList;

/** Where a call is in its journeys: lists of steps within lists. It never changes, so a call can go on from it in many ways. */
final readonly class Itinerary
{
    /**
     * @param list<Frame> $frames the innermost last; none where nothing is left
     * @param Ending|null $ending null where the call goes on, or no step is left
     */
    private function __construct(public array $frames, public ?Ending $ending = null) {}

    public static function along(string $journey, StepList $list): self
    {
        return self::settled([new Frame($journey, $journey, $list)]);
    }

    /** @return array{string, Step}|null the journey and the step that comes next; null where the call is over */
    public function next(): ?array
    {
        $last = $this->frames[\count($this->frames) - 1] ?? null;
        $step = $last?->step();

        return null === $last || null === $step ? null : [$last->journey, $step];
    }

    /** @return array{string, string}|null the journey and the step at which the call is; null where it is over */
    public function place(): ?array
    {
        $last = $this->frames[\count($this->frames) - 1] ?? null;
        $step = $last?->place();

        return null === $last || null === $step ? null : [$last->journey, $step->id()];
    }

    /** The second since which the call is at the step of which the next one is but a part; null where it is none. */
    public function within(): ?int
    {
        return $this->frames[\count($this->frames) - 1]->owner->dialled ?? null;
    }

    /** @return array{string|null, bool} the exit by which the call leaves the step at which it is, and whether that is listed there */
    public function leaves(Onward $onward): array
    {
        $inner = $this->frames[\count($this->frames) - 1];
        $isWithin = null !== $inner->owner?->dialled;
        $exit = match (true) {
            true === $onward->toward?->comesBack => null,
            // Whoever keeps a place is called back: that ends the call, whatever else there is for those whom nobody answered.
            $isWithin => $onward->goesOn() && null === $onward->otherwise ? DialsPeople::DIALLED : null,
            default => $onward->exit,
        };

        return [$exit, null !== $exit && null !== $inner->place()?->exits()->find($exit)];
    }

    /**
     * Where the call is once the step that came next has been taken.
     *
     * @param int $since the second since which it was at it
     */
    public function after(Onward $onward, Plan $plan, int $since): self
    {
        $inner = $this->frames[\count($this->frames) - 1];
        $step = $inner->step();
        \assert(null !== $step);
        $frames = [...\array_slice($this->frames, 0, -1), $inner->movedTo($inner->at + 1)];
        $exit = null === $onward->exit ? null : $step->exits()->find($onward->exit);

        return match (true) {
            null !== $onward->ending => new self([], $onward->ending),
            null !== $onward->toward => self::into(
                $frames,
                $plan->get(Journey::class, $onward->toward->journey),
                $onward->toward->comesBack,
            ),
            null !== $onward->dialled => self::settled([
                ...$frames,
                ...self::dialling($inner, $step, $onward->dialled, $since),
            ]),
            null !== $onward->again => self::again($frames, $onward->again),
            null !== $exit => self::settled([...$frames, self::exit($inner, $step, $exit, $onward->otherwise)]),
            null !== $onward->otherwise => new self([], $onward->otherwise),
            default => self::settled($frames),
        };
    }

    private static function exit(Frame $inner, Step $step, StepExit $exit, ?Ending $otherwise = null): Frame
    {
        $name = \sprintf('%s/%s/%s', $inner->journey, $step->id(), $exit->on);

        return new Frame($name, $inner->journey, $exit->steps, 0, new Owner($step, $otherwise));
    }

    /** @return list<Frame> what rings whoever was dialled, and what comes after it where nobody takes the call */
    private static function dialling(Frame $inner, Step $step, Person $person, int $since): array
    {
        $exit = $step->exits()->find(DialsPeople::DIALLED);
        $name = \sprintf('%s/%s %s', $inner->journey, $step->id(), $person->id());

        return [
            ...null === $exit ? [] : [self::exit($inner, $step, $exit)],
            new Frame($name, $inner->journey, $person->directSteps(), 0, new Owner($step, null, $since)),
        ];
    }

    /** Equal for two that go on in the same way. */
    public function key(): string
    {
        return implode(
            ' ',
            array_map(
                static fn(Frame $frame): string => $frame->name .
                    ':' .
                    $frame->at .
                    ($frame->owner?->otherwise?->kind->value ?? ''),
                $this->frames,
            ),
        );
    }

    /**
     * Into another journey: in place of the one that it is in, unless it comes back.
     *
     * @param list<Frame> $frames
     */
    private static function into(array $frames, ?Journey $journey, bool $comesBack): self
    {
        while (!$comesBack && [] !== $frames) {
            // The list of a journey is in nobody's exit.
            if (null === array_pop($frames)->owner) {
                break;
            }
        }

        return self::settled(
            null === $journey ? $frames : [...$frames, new Frame($journey->id(), $journey->id(), $journey->steps)],
        );
    }

    /**
     * Back to a menu in whose exit it is, so many further up.
     *
     * @param list<Frame> $frames
     */
    private static function again(array $frames, int $up): self
    {
        while ([] !== $frames) {
            $frame = array_pop($frames);
            if ($frame->owner?->step instanceof MenuStep && 0 === $up--) {
                $outer = array_pop($frames);
                \assert(null !== $outer);

                return new self([...$frames, $outer->movedTo($outer->at - 1)]);
            }
        }

        return new self([]);
    }

    /**
     * Lists that ran out are left.
     *
     * @param list<Frame> $frames
     */
    private static function settled(array $frames): self
    {
        while ([] !== $frames && null === $frames[\count($frames) - 1]->step()) {
            $otherwise = array_pop($frames)->owner?->otherwise;
            if (null !== $otherwise) {
                return new self([], $otherwise);
            }
        }

        return new self($frames);
    }
}
