<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Team;

/**
 * A tier that joins when every step that rings the team is over.
 *
 * @implements Check<Team>
 */
final class TierNeverRings implements Check
{
    public function looksAt(): array
    {
        return [Team::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $limit = $survey->longestRingOf($element);
        foreach ($element->ringing() as $i => $member) {
            $starts = $element->order->joinsAfter($member);
            if (null !== $limit && $starts >= $limit) {
                $every = intdiv($limit, $member->tier);
                $fix = 0 === $every ? null : Fix::replace($element, '/widenSeconds', $every, ['every' => $every]);
                yield Finding::warning(
                    $element,
                    '/members/' . $i,
                    'tier-never-rings',
                    ['tier' => $member->tier, 'starts' => $starts, 'limit' => $limit],
                    $fix,
                );
            }
        }
    }
}
