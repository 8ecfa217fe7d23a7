<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Plays a prompt, then goes on. Its exits are keys that callers press meanwhile. */
final readonly class SayStep implements Step
{
    use OfAStep;
    use PassedUnasked;

    public function __construct(private AboutStep $about, public ?string $prompt, private Exits $exits) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...AboutStep::FIELDS, 'prompt', 'exits']);

        return new self(
            AboutStep::fromJson($in),
            $in->field('prompt')->reference(),
            Exits::fromJson($in->field('exits'), Keypad::KEYS),
        );
    }

    public function exits(): Exits
    {
        return $this->exits;
    }

    public function toJson(): array
    {
        return [...$this->about->toJson('say'), 'prompt' => $this->prompt, 'exits' => $this->exits->toJson()];
    }

    public function references(string $pointer): array
    {
        return null === $this->prompt
            ? []
            : [new Reference($this->prompt, $pointer . '/prompt', [Kind::Prompt], 'plays it')];
    }

    public function unfinished(): ?string
    {
        return null === $this->prompt ? 'prompt' : null;
    }

    public function waysOn(Plan $plan): array
    {
        return ['' => Prompt::longestIn($plan, $this->prompt)];
    }
}
