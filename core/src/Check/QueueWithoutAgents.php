<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Queue;

/**
 * A queue in which nobody is, or everybody is off: no call is ever answered there.
 *
 * @implements Check<Queue>
 */
final class QueueWithoutAgents implements Check
{
    public function looksAt(): array
    {
        return [Queue::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if ([] === $element->agents->asked()) {
            yield Finding::warning(
                $element,
                '/members',
                [] === $element->agents->members ? 'queue-without-agents' : 'queue-off',
            );
        }
    }
}
