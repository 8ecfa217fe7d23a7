<?php

declare(strict_types=1);

namespace Meandros\Core\Patterns;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;

/** Callers choose a language by a key, then go on in it. */
final class LanguageChoice implements Pattern
{
    public function asks(): array
    {
        return [new Ask('prompt', [Kind::Prompt]), new Ask('next', [Kind::Journey], true)];
    }

    public function steps(Plan $plan, array $answers): array
    {
        $exits = [];
        foreach (array_keys($plan->get(Prompt::class, $answers['prompt'])->scripts ?? []) as $i => $language) {
            $exits[] = [
                'on' => (string) ($i + 1),
                'label' => $language,
                'steps' => [['do' => 'tag', 'language' => $language]],
            ];
        }
        $next = isset($answers['next']) ? [Leads::to($plan, $answers['next'])] : [];

        return [
            ['do' => 'menu', 'prompt' => $answers['prompt'], 'tries' => 1, 'exits' => \array_slice($exits, 0, 9)],
            ...$next,
        ];
    }
}
