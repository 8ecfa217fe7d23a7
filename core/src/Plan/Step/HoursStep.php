<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\State;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Branches on the state that hours are in; a state with no exit falls through. */
final readonly class HoursStep implements Step
{
    use OfAStep;
    use PassedUnasked;

    public function __construct(private AboutStep $about, public ?string $hours, private Exits $exits) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...AboutStep::FIELDS, 'hours', 'exits']);

        return new self(
            AboutStep::fromJson($in),
            $in->field('hours')->reference(),
            Exits::fromJson($in->field('exits'), null),
        );
    }

    public function exits(): Exits
    {
        return $this->exits;
    }

    public function toJson(): array
    {
        return [...$this->about->toJson('hours'), 'hours' => $this->hours, 'exits' => $this->exits->toJson()];
    }

    public function references(string $pointer): array
    {
        return null === $this->hours
            ? []
            : [new Reference($this->hours, $pointer . '/hours', [Kind::Hours], 'branches on it')];
    }

    public function unfinished(): ?string
    {
        return null === $this->hours ? 'hours' : null;
    }

    public function waysOn(Plan $plan): array
    {
        $hours = $plan->get(Hours::class, $this->hours);

        return null === $hours
            ? ['' => 0]
            : array_fill_keys(array_map(static fn(State $state): string => $state->key, $hours->states->all), 0);
    }
}
