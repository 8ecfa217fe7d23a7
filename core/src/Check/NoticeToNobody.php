<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Queue;

/**
 * A wait that is too long raises a notice, which goes to nobody.
 *
 * @implements Check<Queue>
 */
final class NoticeToNobody implements Check
{
    public function looksAt(): array
    {
        return [Queue::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if (null !== $element->callers->promise->noticeSeconds && [] === $element->callers->promise->notify) {
            yield Finding::warning(
                $element,
                '/promise/notify',
                'notice-to-nobody',
                [],
                Fix::replace($element, '/promise/noticeSeconds', null),
            );
        }
    }
}
