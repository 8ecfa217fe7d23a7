<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Plan\Step\StepExit;
use Meandros\Core\Plan\Step\StepList;

/** Where a call is in its journeys: lists of steps within lists. It never changes, so a call can go on from it in many ways. */
final class Itinerary
{
    private ?string $key = null;

    /**
     * @param list<Frame> $frames the innermost last; none where nothing is left
     * @param Ending|null $ending null where the call goes on, or no step is left
     */
    private function __construct(public readonly array $frames, public readonly ?Ending $ending = null) {}

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
        return $this->frames[\count($this->frames) - 1]->owner->since ?? null;
    }

    /** @return array{string|null, bool} the exit by which the call leaves the step at which it is, and whether that is listed there */
    public function leaves(Onward $onward): array
    {
        $inner = $this->frames[\count($this->frames) - 1];
        $exit = true === $onward->toward?->comesBack ? null : $onward->exit;
        if (null !== $inner->owner?->since) {
            // Whoever keeps a place is called back: that ends the call, whatever else there is for those whom nobody answered.
            $exit = $onward->goesOn() && null === $onward->otherwise ? $this->exitAfterParts($onward->exit) : null;
        }

        return [$exit, null !== $exit && null !== $inner->place()?->exits()->find($exit)];
    }

    private function exitAfterParts(?string $exit): ?string
    {
        foreach (array_reverse($this->frames) as $frame) {
            if (null === $frame->owner?->since) {
                break;
            }
            $exit = $frame->owner->exit ?? $exit;
        }

        return $exit;
    }

    /**
     * Whether it matters by which of these exits the step that comes next is left.
     *
     * @param list<string> $exits
     */
    public function tellsExits(array $exits): bool
    {
        if (null !== $this->exitAfterParts(null)) {
            return false;
        }
        $steps = [$this->next()[1] ?? null];
        foreach (array_reverse($this->frames) as $frame) {
            if (null === $frame->owner?->since) {
                break;
            }
            $steps[] = $frame->owner->step;
        }
        foreach ($exits as $exit) {
            foreach ($steps as $step) {
                if (null !== $step?->exits()->find($exit)) {
                    return true;
                }
            }
        }

        return false;
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
        $outer = \array_slice($this->frames, 0, -1);
        $moved = $inner->movedTo($inner->at + 1);
        $exit = null === $onward->exit ? null : $step->exits()->find($onward->exit);

        return match (true) {
            null !== $onward->ending => new self([], $onward->ending),
            null !== $onward->toward => self::into(
                [...$outer, $moved],
                $plan->get(Journey::class, $onward->toward->journey),
                $onward->toward->comesBack,
            ),
            null !== $onward->part => new self([...$outer, ...self::part($moved, $onward->part, $step, $since)]),
            null !== $onward->again => self::again([...$outer, $moved], $onward->again),
            null !== $inner->owner?->since => null === $onward->otherwise
                ? self::afterPart($outer, $moved, $onward->exit)
                : new self([], $onward->otherwise),
            null !== $exit => self::settled([...$outer, $moved, self::exit($inner, $step, $exit, $onward->otherwise)]),
            null !== $onward->otherwise => new self([], $onward->otherwise),
            default => self::settled([...$outer, $moved]),
        };
    }

    private static function exit(Frame $inner, Step $step, StepExit $exit, ?Ending $otherwise = null): Frame
    {
        $name = \sprintf('%s/%s/%s', $inner->journey, $step->id(), $exit->on);

        return new Frame($name, $inner->journey, $exit->steps, 0, new Owner($step, $otherwise));
    }

    /**
     * People see the call at the step that they see it at already, where that is a part itself. A part that is over but for this one gives
     * way to it: ways that go round come back to the same place.
     *
     * @return list<Frame>
     */
    private static function part(Frame $moved, Part $part, Step $step, int $since): array
    {
        $within = null === $moved->owner?->since ? null : $moved->owner;
        $isOver = null !== $within && null === $moved->step();
        $exit = ($isOver ? $within->exit : null) ?? $part->exit;
        $owner = new Owner($within->step ?? $step, null, $since, $exit);
        $name = \sprintf('%s/%s %s %s', $moved->journey, $owner->step->id(), $part->name, $exit);

        return [...$isOver ? [] : [$moved], new Frame($name, $moved->journey, $part->steps, 0, $owner)];
    }

    /**
     * On with the next step of a part; after the last of them as if the step that it belongs to had gone on so.
     *
     * @param list<Frame> $outer
     * @param string|null $exit  by which the last step went on
     */
    private static function afterPart(array $outer, Frame $part, ?string $exit): self
    {
        if (null !== $part->step()) {
            return new self([...$outer, $part]);
        }
        $exit = $part->owner->exit ?? $exit;
        $below = $outer[\count($outer) - 1] ?? null;
        if (null !== $below?->owner?->since) {
            return self::afterPart(\array_slice($outer, 0, -1), $below, $exit);
        }
        $step = $part->owner?->step;
        $listed = null === $exit ? null : $step?->exits()->find($exit);

        return self::settled(
            null === $below || null === $step || null === $listed
                ? $outer
                : [...$outer, self::exit($below, $step, $listed)],
        );
    }

    /** Equal for two that go on in the same way. */
    public function key(): string
    {
        return $this->key ??= implode(
            ' ',
            array_map(
                static fn(Frame $frame): string => $frame->key() . ($frame->owner?->otherwise?->kind->value ?? ''),
                $this->frames,
            ),
        );
    }

    /** Equal for two at which the same step comes next, whatever comes after it. */
    public function nextKey(): string
    {
        $inner = $this->frames[\count($this->frames) - 1];

        return null === $inner->owner?->since ? $inner->key() : $inner->journey . ' ' . serialize($inner->step());
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
