<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\PhoneType;

/**
 * Somebody without a phone.
 *
 * @implements Check<Person>
 */
final class PersonWithoutPhone implements Check
{
    public function looksAt(): array
    {
        return [Person::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if ([] === $element->reach->phones) {
            $desk = new Phone('desk', PhoneType::Desk, 'Desk phone');
            yield Finding::warning(
                $element,
                '/phones',
                'person-without-phone',
                [],
                Fix::add($element, '/phones/-', $desk->toJson()),
            );
        }
    }
}
