<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Proof\Fares\Fares;

/** Somebody with phones whom no call to any number rings, and who cannot be dialled either. */
final class PersonNeverRung implements StepsCheck
{
    public function found(StepsReached $steps, Fares $fares): iterable
    {
        $may = $steps->behindPhones($fares);
        foreach ($fares->plan->all(Person::class) as $person) {
            $isDialled = '' !== $person->known->extension || $fares->plan->isMentioned($person->id(), Kind::Number);
            $isRung = isset($may[$person->id()]) && self::isOn($person);
            if (!$isRung && !$isDialled && [] !== $person->reach->phones) {
                yield Finding::warning($person, '/phones', 'person-never-rung');
            }
        }
    }

    private static function isOn(Person $person): bool
    {
        return [] !== array_filter($person->reach->phones, static fn(Phone $phone): bool => $phone->manner->on);
    }
}
