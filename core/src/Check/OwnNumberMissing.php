<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\KnownBy;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\OwnNumber;

/**
 * Somebody shows their own number when they call, and has none.
 *
 * @implements Check<Person>
 */
final class OwnNumberMissing implements Check
{
    public function looksAt(): array
    {
        return [Person::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if (KnownBy::SHOWS_OWN === $element->known->shows && null === OwnNumber::of($survey->plan, $element)) {
            yield Finding::warning(
                $element,
                '/shows',
                'own-number-missing',
                [],
                Fix::replace($element, '/shows', KnownBy::SHOWS_NOTHING),
            );
        }
    }
}
