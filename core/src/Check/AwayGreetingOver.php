<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Time\Moment;

/**
 * A greeting for a while that has run out: the usual one is heard again, and this one waits to be forgotten.
 *
 * @implements Check<Mailbox>
 */
final class AwayGreetingOver implements Check
{
    public function looksAt(): array
    {
        return [Mailbox::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $away = $element->greetings->away;
        $zone = $survey->plan->get(Site::class, $survey->plan->get(Person::class, $element->owners[0] ?? null)?->site)
            ?->place->zone;
        if (null !== $away && null !== $survey->now && Moment::parse($away->until, $zone ?? 'UTC') <= $survey->now) {
            yield Finding::warning(
                $element,
                '/away',
                'away-greeting-over',
                ['until' => $away->until],
                Fix::replace($element, '/away', null),
            );
        }
    }
}
