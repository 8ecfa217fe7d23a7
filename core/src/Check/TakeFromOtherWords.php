<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Prompt;

/**
 * A recording of words that the script no longer says.
 *
 * @implements Check<Prompt>
 */
final class TakeFromOtherWords implements Check
{
    public function looksAt(): array
    {
        return [Prompt::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach (TakesInUse::of($element) as $pointer => [$take, $script]) {
            if (!$take->read->isOf($script)) {
                yield Finding::warning(
                    $element,
                    $pointer,
                    'take-from-other-words',
                    ['language' => $take->of->language],
                    Fix::replace($element, $pointer . '/fits', $script),
                );
            }
        }
    }
}
