<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Routing\Happening\Said;

/** Callers hear a prompt in another language than the call is in, for there is no script in theirs. */
final class SaidInAnotherLanguage implements CallCheck
{
    /** @var array<string, array<string, string>> the first number, by prompt and the language that is missing */
    private array $missing = [];

    public function see(Seen $seen, Fares $fares): void
    {
        foreach ($seen->course->trace->passage->events as $event) {
            $said = $event->happening;
            if ($said instanceof Said && null !== $said->prompt && $said->language !== $said->wantedLanguage) {
                $this->missing[$said->prompt][$said->wantedLanguage] ??= $seen->number->name();
            }
        }
    }

    public function add(CallCheck $one, array $numbers): void
    {
        \assert($one instanceof self);
        foreach ($one->missing as $prompt => $languages) {
            $this->missing[$prompt] = ($this->missing[$prompt] ?? []) + $languages;
        }
    }

    public function found(Fares $fares): iterable
    {
        foreach ($this->missing as $id => $languages) {
            $prompt = $fares->plan->get(Prompt::class, $id);
            if (null === $prompt || [] === $prompt->languages()) {
                continue;
            }
            foreach ($languages as $language => $number) {
                yield Finding::warning($prompt, '/scripts', 'said-in-another-language', [
                    'language' => $language,
                    'number' => $number,
                ]);
            }
        }
    }
}
