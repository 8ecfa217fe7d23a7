<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Called;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Value\Lists;

/**
 * A phone outside that two people have: when both ring, the second call finds it busy.
 *
 * @implements Check<Person>
 */
final class SharedPhone implements Check
{
    public function looksAt(): array
    {
        return [Person::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach (Called::phonesOf($element) as $pointer => $number) {
            foreach ($survey->plan->mentioning($number, Kind::Person) as $other) {
                if ($other->id() !== $element->id() && Lists::has(Called::phonesOf($other), $number)) {
                    yield Finding::warning($element, $pointer, 'shared-phone', ['person' => $other->name()]);
                    break;
                }
            }
        }
    }
}
