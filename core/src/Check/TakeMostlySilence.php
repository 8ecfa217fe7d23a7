<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Prompt;

/**
 * A recording in which little is said.
 *
 * @implements Check<Prompt>
 */
final class TakeMostlySilence implements Check
{
    private const PERCENT = 50;

    public function looksAt(): array
    {
        return [Prompt::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach (TakesInUse::of($element) as $pointer => [$take, $script]) {
            if ($take->measures->silence > self::PERCENT) {
                yield Finding::warning($element, $pointer, 'take-mostly-silence', [
                    'silence' => $take->measures->silence,
                ]);
            }
        }
    }
}
