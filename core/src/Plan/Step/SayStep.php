<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Plays a prompt, then goes on. */
final readonly class SayStep implements Step
{
    use PassedUnasked;
    use WithoutExits;

    public function __construct(private string $id, public ?string $prompt)
    {
    }

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'do', 'prompt']);

        return new self($in->field('id')->id(), $in->field('prompt')->reference());
    }

    public function id(): string
    {
        return $this->id;
    }

    public function toJson(): array
    {
        return ['id' => $this->id, 'do' => 'say', 'prompt' => $this->prompt];
    }

    public function references(string $pointer): array
    {
        return null === $this->prompt ? [] : [new Reference($this->prompt, $pointer.'/prompt', [Kind::Prompt], 'plays it')];
    }

    public function unfinished(): ?string
    {
        return null === $this->prompt ? 'prompt' : null;
    }

    public function waysOn(Plan $plan): array
    {
        return ['' => $plan->get(Prompt::class, $this->prompt)?->longest() ?? 0];
    }
}
