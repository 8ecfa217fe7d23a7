<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Queue;

/**
 * A tier of a queue that joins when nobody may wait any longer, and is not asked before.
 *
 * @implements Check<Queue>
 */
final class TierNeverAsked implements Check
{
    public function looksAt(): array
    {
        return [Queue::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->agents->asking->spillsOver ? [] : $element->agents->asked() as $i => $member) {
            $joins = ($member->tier - 1) * $element->agents->asking->widenSeconds;
            if ($joins >= $element->callers->waiting->longestSeconds) {
                $every = intdiv($element->callers->waiting->longestSeconds, $member->tier);
                $fix =
                    0 === $every ? null : Fix::replace($element, '/asking/widenSeconds', $every, ['every' => $every]);
                yield Finding::warning(
                    $element,
                    '/members/' . $i,
                    'tier-never-asked',
                    [
                        'tier' => $member->tier,
                        'joins' => $joins,
                        'longest' => $element->callers->waiting->longestSeconds,
                    ],
                    $fix,
                );
            }
        }
    }
}
