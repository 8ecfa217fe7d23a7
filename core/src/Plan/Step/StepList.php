<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Steps read top-down. When the list runs out, the call falls through to the step after the one that branched. */
final readonly class StepList
{
    private const DEEPEST = 20;

    /** @param list<Step> $steps */
    public function __construct(public array $steps) {}

    public static function fromJson(Input $in): self
    {
        if (substr_count($in->pointer, '/steps') > self::DEEPEST) {
            $in->complain('steps-too-deep', ['most' => self::DEEPEST]);

            return new self([]);
        }
        $steps = [];
        foreach ($in->items(Limits::STEPS) as $item) {
            $step = StepKinds::read($item);
            if (null !== $step) {
                $steps[] = $step;
            }
        }

        return new self($steps);
    }

    /** @return \Generator<string, Step> this list's steps and those inside their exits, as they are read, by JSON Pointer */
    public function everyStep(string $pointer): \Generator
    {
        foreach ($this->steps as $i => $step) {
            yield $pointer . '/' . $i => $step;
            foreach ($step->exits()->items as $j => $exit) {
                foreach (
                    $exit->steps->everyStep(\sprintf('%s/%d/exits/%d/steps', $pointer, $i, $j))
                    as $place => $inner
                ) {
                    yield $place => $inner;
                }
            }
        }
    }

    /** @return \Generator<string, self> this list and those inside its steps' exits, by JSON Pointer */
    public function everyList(string $pointer): \Generator
    {
        yield $pointer => $this;
        foreach ($this->steps as $i => $step) {
            foreach ($step->exits()->items as $j => $exit) {
                foreach (
                    $exit->steps->everyList(\sprintf('%s/%d/exits/%d/steps', $pointer, $i, $j))
                    as $place => $inner
                ) {
                    yield $place => $inner;
                }
            }
        }
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        $references = [];
        foreach ($this->steps as $i => $step) {
            $place = $pointer . '/' . $i;
            array_push($references, ...$step->references($place));
            foreach ($step->exits()->items as $j => $exit) {
                array_push($references, ...$exit->steps->references(\sprintf('%s/exits/%d/steps', $place, $j)));
            }
        }

        return $references;
    }

    /** @return list<array<string, mixed>> */
    public function toJson(): array
    {
        return array_map(static fn(Step $step): array => $step->toJson(), $this->steps);
    }
}
