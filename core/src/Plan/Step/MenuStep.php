<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Plays a prompt and takes one key; asks again until the tries are used up. */
final readonly class MenuStep implements Step, DialsPeople
{
    use AsksSomebody;
    use OfAStep;

    public const NOTHING = 'nothing';
    public const WRONG = 'wrong';

    public function __construct(
        private AboutStep $about,
        public Prompting $asks,
        private Exits $exits,
        public MenuManner $manner,
        public ?MenuDialling $dial,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([
            ...AboutStep::FIELDS,
            'prompt',
            'wait',
            'tries',
            'exits',
            'duringPrompt',
            'secondPrompt',
            'wrongPrompt',
            'words',
            'dial',
        ]);

        return new self(
            AboutStep::fromJson($in),
            Prompting::fromJson($in),
            Exits::fromJson($in->field('exits'), [...Keypad::KEYS, self::NOTHING, self::WRONG, self::DIALLED]),
            MenuManner::fromJson($in),
            MenuDialling::fromJson($in->field('dial')),
        );
    }

    public function dials(): ?MenuDialling
    {
        return $this->dial;
    }

    public function exits(): Exits
    {
        return $this->exits;
    }

    public function toJson(): array
    {
        return [...$this->about->toJson('menu'), ...$this->asks->toJson()] +
            $this->manner->toJson() + ['dial' => $this->dial?->toJson(), 'exits' => $this->exits->toJson()];
    }

    public function references(string $pointer): array
    {
        $own =
            null === $this->asks->prompt
                ? []
                : [new Reference($this->asks->prompt, $pointer . '/prompt', [Kind::Prompt], 'asks with it')];

        return [...$own, ...$this->manner->references($pointer), ...$this->dial?->references($pointer . '/dial') ?? []];
    }

    public function unfinished(): ?string
    {
        return null === $this->asks->prompt ? 'prompt' : null;
    }

    public function takenBy(): null
    {
        return null;
    }

    public function waysOn(Plan $plan): array
    {
        return [self::NOTHING => $this->asks->longest($plan)];
    }
}
