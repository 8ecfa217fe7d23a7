<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Queue;

/**
 * Callers could be called back, and nothing lets them choose it.
 *
 * @implements Check<Queue>
 */
final class CallbackNeverTaken implements Check
{
    public function looksAt(): array
    {
        return [Queue::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if (
            null !== $element->callers->callback &&
            null === $element->callers->callback->offer->key &&
            !$element->callers->callback->offer->atTheEnd
        ) {
            $key = '1' === $element->callers->waiting->leaveKey ? '2' : '1';
            yield Finding::warning(
                $element,
                '/callback/offer',
                'callback-never-taken',
                [],
                Fix::replace($element, '/callback/offer/key', $key, ['key' => $key]),
            );
        }
    }
}
