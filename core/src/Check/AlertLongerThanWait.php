<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Queue;

/**
 * Agents who are asked for at least as long as anybody may wait: only the first one ever is.
 *
 * @implements Check<Queue>
 */
final class AlertLongerThanWait implements Check
{
    public function looksAt(): array
    {
        return [Queue::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $longest = $element->callers->waiting->longestSeconds;
        if ($element->agents->asking->alertSeconds >= $longest && $longest > 1) {
            $half = intdiv($longest, 2);
            yield Finding::warning(
                $element,
                '/asking',
                'alert-longer-than-wait',
                ['alert' => $element->agents->asking->alertSeconds, 'longest' => $longest],
                Fix::replace($element, '/asking/alertSeconds', $half, ['half' => $half]),
            );
        }
    }
}
