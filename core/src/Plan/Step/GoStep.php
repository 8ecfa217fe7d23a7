<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Goes on in another journey: for good, or as a part of this one that comes back when it runs out. */
final readonly class GoStep implements Step
{
    use OfAStep;
    use WithoutExits;

    public function __construct(private AboutStep $about, public ?string $journey, public bool $comesBack) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...AboutStep::FIELDS, 'journey', 'comesBack']);

        return new self(
            AboutStep::fromJson($in),
            $in->field('journey')->reference(),
            $in->field('comesBack')->flag(false),
        );
    }

    public function toJson(): array
    {
        return [...$this->about->toJson('go'), 'journey' => $this->journey, 'comesBack' => $this->comesBack];
    }

    public function references(string $pointer): array
    {
        return null === $this->journey
            ? []
            : [new Reference($this->journey, $pointer . '/journey', [Kind::Journey], 'goes on there')];
    }

    public function unfinished(): ?string
    {
        return null === $this->journey ? 'journey' : null;
    }

    public function letsPassUnasked(): bool
    {
        // What comes after is for the journey to say that it comes back from.
        return !$this->comesBack;
    }

    public function isLast(): bool
    {
        return null !== $this->journey && !$this->comesBack;
    }

    public function leadsTo(): ?string
    {
        return $this->journey;
    }

    public function takenBy(): null
    {
        return null;
    }

    public function waysOn(Plan $plan): array
    {
        return null === $this->journey ? ['' => 0] : [];
    }
}
