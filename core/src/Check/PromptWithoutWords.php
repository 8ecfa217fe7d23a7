<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Prompt;

/**
 * A prompt for which nothing is written.
 *
 * @implements Check<Prompt>
 */
final class PromptWithoutWords implements Check
{
    public function looksAt(): array
    {
        return [Prompt::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if ('' === implode('', $element->scripts)) {
            yield Finding::warning($element, '/scripts', 'prompt-without-words');
        }
    }
}
