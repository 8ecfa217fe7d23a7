<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Team;

/**
 * A team without members.
 *
 * @implements Check<Team>
 */
final class EmptyTeam implements Check
{
    public function looksAt(): array
    {
        return [Team::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if ([] === $element->members) {
            yield Finding::warning($element, '/members', 'empty-team');
        }
    }
}
