<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Queue;

/**
 * A wait of more than ten minutes during which callers hear nothing of their place.
 *
 * @implements Check<Queue>
 */
final class LongWaitUntold implements Check
{
    /** Seconds. */
    private const LONG = 600;

    public function looksAt(): array
    {
        return [Queue::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if ($element->callers->waiting->longestSeconds > self::LONG && !$element->callers->waiting->announces()) {
            $fix = Fix::replaceAll($element, ['/waiting/announceSeconds'], 60);
            yield Finding::warning(
                $element,
                '/waiting',
                'long-wait-untold',
                ['minutes' => intdiv($element->callers->waiting->longestSeconds, 60)],
                $element->callers->waiting->tellsPosition || $element->callers->waiting->tellsWait ? $fix : null,
            );
        }
    }
}
