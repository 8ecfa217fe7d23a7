<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Team;

/**
 * A member who is to ring for longer than any step leaves.
 *
 * @implements Check<Team>
 */
final class MemberRingsTooLong implements Check
{
    public function looksAt(): array
    {
        return [Team::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $limit = $survey->longestRingOf($element);
        foreach (null === $limit ? [] : $element->ringing() as $i => $member) {
            if (
                null !== $member->seconds &&
                $member->seconds > $limit &&
                $element->order->joinsAfter($member) < $limit
            ) {
                $fix = Fix::replace($element, \sprintf('/members/%d/seconds', $i), $limit);
                yield Finding::warning(
                    $element,
                    '/members/' . $i,
                    'member-rings-too-long',
                    ['seconds' => $member->seconds, 'limit' => $limit],
                    $fix,
                );
            }
        }
    }
}
