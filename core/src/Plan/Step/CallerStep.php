<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Tells callers apart: the first of its lists that the caller is in is the way out. Whoever is in none goes on. */
final readonly class CallerStep implements Step
{
    use OfAStep;
    use PassedUnasked;

    /** @param Exits $exits one for each list, by its id, in the order in which they are looked at */
    public function __construct(private AboutStep $about, private Exits $exits) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...AboutStep::FIELDS, 'exits']);

        return new self(AboutStep::fromJson($in), Exits::fromJson($in->field('exits'), null));
    }

    public function exits(): Exits
    {
        return $this->exits;
    }

    public function toJson(): array
    {
        return [...$this->about->toJson('caller'), 'exits' => $this->exits->toJson()];
    }

    public function references(string $pointer): array
    {
        $references = [];
        foreach ($this->exits->items as $i => $exit) {
            $references[] = new Reference(
                $exit->on,
                \sprintf('%s/exits/%d/on', $pointer, $i),
                [Kind::CallerList],
                'tells callers apart by it',
            );
        }

        return $references;
    }

    public function unfinished(): ?string
    {
        return [] === $this->exits->items ? 'callers' : null;
    }

    public function waysOn(Plan $plan): array
    {
        return array_fill_keys(array_map(static fn(StepExit $exit): string => $exit->on, $this->exits->items), 0) + [
            '' => 0,
        ];
    }
}
