<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;

/** What callers go through: a list of steps, read top-down. */
final readonly class Journey implements TakesCalls
{
    use Named;
    use WithoutParts;

    public function __construct(private About $about, public StepList $steps) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...About::FIELDS, 'steps']);
        $steps = StepList::fromJson($in->field('steps'));
        $seen = [];
        foreach ($steps->everyStep('/steps') as $step) {
            if (isset($seen[$step->id()])) {
                $in->field('steps')->complain('step-id-twice', ['id' => $step->id()]);
            }
            $seen[$step->id()] = true;
        }

        return new self(About::fromJson($in), $steps);
    }

    public function directSteps(): StepList
    {
        return $this->steps;
    }

    public function kind(): Kind
    {
        return Kind::Journey;
    }

    public function toJson(): array
    {
        return [...$this->about->toJson($this->kind()), 'steps' => $this->steps->toJson()];
    }

    public function references(): array
    {
        return $this->steps->references('/steps');
    }
}
