<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Team;

/**
 * A team in turn in which the first has all the time that steps leave.
 *
 * @implements Check<Team>
 */
final class OnlyFirstRings implements Check
{
    public function looksAt(): array
    {
        return [Team::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $limit = $survey->longestRingOf($element);
        $ringing = \count($element->ringing());
        if (
            null !== $limit &&
            $element->order->pattern->isInTurn() &&
            $ringing > 1 &&
            $element->order->memberSeconds >= $limit
        ) {
            $each = intdiv($limit, $ringing);
            $fix = 0 === $each ? null : Fix::replace($element, '/memberSeconds', $each, ['each' => $each]);
            yield Finding::warning(
                $element,
                '/memberSeconds',
                'only-first-rings',
                ['seconds' => $element->order->memberSeconds, 'limit' => $limit],
                $fix,
            );
        }
    }
}
