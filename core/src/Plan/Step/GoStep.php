<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Goes on in another journey, and does not come back. */
final readonly class GoStep implements Step
{
    use WithoutExits;

    public function __construct(private string $id, public ?string $journey)
    {
    }

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'do', 'journey']);

        return new self($in->field('id')->id(), $in->field('journey')->reference());
    }

    public function id(): string
    {
        return $this->id;
    }

    public function toJson(): array
    {
        return ['id' => $this->id, 'do' => 'go', 'journey' => $this->journey];
    }

    public function references(string $pointer): array
    {
        return null === $this->journey ? [] : [new Reference($this->journey, $pointer.'/journey', [Kind::Journey], 'goes on there')];
    }

    public function unfinished(): ?string
    {
        return null === $this->journey ? 'journey' : null;
    }

    public function letsPassUnasked(): bool
    {
        return true;
    }

    public function isLast(): bool
    {
        return null !== $this->journey;
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
