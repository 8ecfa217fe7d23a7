<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Team;

/**
 * A team in which every member is off.
 *
 * @implements Check<Team>
 */
final class TeamOff implements Check
{
    public function looksAt(): array
    {
        return [Team::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if ([] !== $element->members && [] === $element->ringing()) {
            $paths = array_map(
                static fn(int $i): string => \sprintf('/members/%d/on', $i),
                array_keys($element->members),
            );
            yield Finding::warning($element, '/members', 'team-off', [], Fix::replaceAll($element, $paths, true));
        }
    }
}
