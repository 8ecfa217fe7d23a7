<?php

declare(strict_types=1);

namespace Meandros\Core\Script;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Plan\Step\StepExit;
use Meandros\Core\Value\Lists;

/** A menu's keys beside what its script promises, language by language. */
final readonly class MenuKeys
{
    /**
     * @param string                        $place    JSON Pointer of the step within its journey
     * @param list<StepExit>                $keys     in order
     * @param array<string, list<Promised>> $promised by language; only languages in which it promises something
     */
    private function __construct(
        private Plan $plan,
        public string $place,
        public MenuStep $step,
        public Prompt $prompt,
        public array $keys,
        public array $promised,
    ) {}

    /** @return iterable<self> of the menus of a journey that have a prompt */
    public static function of(Journey $journey, Plan $plan): iterable
    {
        foreach ($journey->steps->everyStep('/steps') as $place => $step) {
            $prompt = $step instanceof MenuStep ? $plan->get(Prompt::class, $step->asks->prompt) : null;
            if ($step instanceof MenuStep && null !== $prompt) {
                $promised = array_filter(
                    array_map(
                        static fn(string $language): array => MenuScript::read($prompt->scripts[$language], $language),
                        array_combine(array_keys($prompt->scripts), array_keys($prompt->scripts)),
                    ),
                );
                $keys = array_values(
                    array_filter(
                        $step->exits()->items,
                        static fn(StepExit $exit): bool => Lists::has(Keypad::KEYS, $exit->on),
                    ),
                );
                yield new self($plan, $place, $step, $prompt, $keys, $promised);
            }
        }
    }

    /** @return array<string, list<PromisedWord>> words that its script tells callers to say, by language */
    public function words(): array
    {
        $words = [];
        foreach ($this->prompt->scripts as $language => $script) {
            $words[$language] = MenuScript::words($script, $language);
        }

        return $words;
    }

    public function has(string $key): bool
    {
        return null !== $this->step->exits()->find($key);
    }

    /** What people call where a key leads: its label, or the name of whom its first step that has one leads to. */
    public function label(StepExit $exit): string
    {
        $names = '' === $exit->label ? $this->names($exit) : [$exit->label];

        return $names[0] ?? '';
    }

    /** @return list<string> names of whom or where a key leads */
    public function names(StepExit $exit): array
    {
        $names = [];
        foreach ($exit->steps->everyStep('') as $step) {
            $name = $this->plan->find($step->takenBy() ?? $step->leadsTo())?->name();
            null === $name || ($names[] = $name);
        }

        return $names;
    }

    /** The script as it would be written from the keys. */
    public function written(string $language): ?string
    {
        return MenuWriter::write(
            array_map(
                fn(StepExit $exit): Promised => new Promised($exit->on, $this->destination($exit, $language)),
                $this->keys,
            ),
            $language,
        );
    }

    /** Labels are in the language of the first script: in another one, what its script calls a key already stays. */
    private function destination(StepExit $exit, string $language): string
    {
        foreach (
            array_key_first($this->prompt->scripts) === $language ? [] : $this->promised[$language] ?? []
            as $one
        ) {
            if ($one->key === $exit->on) {
                return $one->destination;
            }
        }

        return $this->label($exit);
    }

    /** The script with a sentence more, of one key. */
    public function withKey(string $language, StepExit $exit): string
    {
        return trim(
            $this->prompt->scripts[$language] .
                ' ' .
                MenuWriter::write([new Promised($exit->on, $this->label($exit))], $language),
        );
    }
}
