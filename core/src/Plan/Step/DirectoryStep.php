<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Callers spell the name of whom they want on the keys, or dial the extension; who is listed may be reached. */
final readonly class DirectoryStep implements Step, DialsPeople
{
    use AsksSomebody;
    use OfAStep;

    /** Nobody is spelled so. */
    public const NOBODY = 'nobody';
    public const NOTHING = 'nothing';
    public const HELP = '0';

    /** @param MenuDialling $dial who may be reached, and when */
    public function __construct(
        private AboutStep $about,
        public Prompting $asks,
        private Exits $exits = new Exits(),
        public NameSpelling $spelling = new NameSpelling(),
        public MenuDialling $dial = new MenuDialling(),
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([
            ...AboutStep::FIELDS,
            'prompt',
            'wait',
            'tries',
            'exits',
            'part',
            'letters',
            'most',
            'extensions',
            'dial',
        ]);

        return new self(
            AboutStep::fromJson($in),
            Prompting::fromJson($in),
            Exits::fromJson($in->field('exits'), [self::NOBODY, self::NOTHING, self::HELP, self::DIALLED]),
            NameSpelling::fromJson($in),
            MenuDialling::fromJson($in->field('dial')) ?? new MenuDialling(),
        );
    }

    public function dials(): MenuDialling
    {
        return $this->dial;
    }

    public function exits(): Exits
    {
        return $this->exits;
    }

    public function toJson(): array
    {
        return [...$this->about->toJson('directory'), ...$this->asks->toJson()] +
            $this->spelling->toJson() + ['dial' => $this->dial->toJson(), 'exits' => $this->exits->toJson()];
    }

    public function references(string $pointer): array
    {
        return [
            ...null === $this->asks->prompt
                ? []
                : [new Reference($this->asks->prompt, $pointer . '/prompt', [Kind::Prompt], 'asks for a name with it')],
            ...$this->dial->references($pointer . '/dial'),
        ];
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
