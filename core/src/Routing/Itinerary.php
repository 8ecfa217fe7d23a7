<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\MenuStep;
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

    /** Where the call is once the step that came next has been taken. */
    public function after(Onward $onward, Plan $plan): self
    {
        $inner = $this->frames[\count($this->frames) - 1];
        $step = $inner->step();
        \assert(null !== $step);
        $frames = [...\array_slice($this->frames, 0, -1), $inner->movedTo($inner->at + 1)];
        $exit = null === $onward->exit ? null : $step->exits()->find($onward->exit);

        return match (true) {
            null !== $onward->ending => new self([], $onward->ending),
            null !== $onward->journey => self::into(
                $frames,
                $plan->get(Journey::class, $onward->journey),
                $onward->comesBack,
            ),
            null !== $onward->again => self::again($frames, $onward->again),
            null !== $exit => self::settled([
                ...$frames,
                new Frame(
                    \sprintf('%s/%s/%s', $inner->journey, $step->id(), $exit->on),
                    $inner->journey,
                    $exit->steps,
                    0,
                    $step,
                    $onward->otherwise,
                ),
            ]),
            null !== $onward->otherwise => new self([], $onward->otherwise),
            default => self::settled($frames),
        };
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
                    ($frame->otherwise?->kind->value ?? ''),
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
            if ($frame->owner instanceof MenuStep && 0 === $up--) {
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
            $otherwise = array_pop($frames)->otherwise;
            if (null !== $otherwise) {
                return new self([], $otherwise);
            }
        }

        return new self($frames);
    }
}
