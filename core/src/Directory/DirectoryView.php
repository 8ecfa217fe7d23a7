<?php

declare(strict_types=1);

namespace Meandros\Core\Directory;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Spelled;
use Meandros\Core\Plan\Step\DirectoryStep;

/** Everybody who may be reached by a directory: how many presses each takes, and who cannot be told apart by their keys. */
final class DirectoryView
{
    /** @return list<Reached> those who are never read out first, then whoever takes most presses */
    public static function of(Plan $plan, DirectoryStep $step): array
    {
        $directory = new Directory($plan, $step->spelling, $step->dial);
        $part = $step->spelling->part->parts()[0];
        $all = [];
        foreach ($plan->all(Person::class) as $person) {
            if ($step->dial->mayReach($person)) {
                $all[] = self::reached(
                    $directory,
                    $person,
                    Spelled::keys($person, $part)[0] ?? '',
                    $step->spelling->most,
                );
            }
        }
        usort(
            $all,
            static fn(Reached $one, Reached $other): int => [
                null === $one->presses ? 0 : 1,
                -(int) $one->presses,
                $one->person->name(),
            ] <=> [null === $other->presses ? 0 : 1, -(int) $other->presses, $other->person->name()],
        );

        return $all;
    }

    private static function reached(Directory $directory, Person $person, string $keys, int $most): Reached
    {
        $search = $directory->read($keys);
        $place = array_search($person, $search->people, true);
        $alike = array_values(array_filter($search->people, static fn(Person $other): bool => $other !== $person));
        $presses = \strlen($search->typed) + (Stop::Silence === $search->stop ? 1 : 0) + ([] === $alike ? 0 : 1);

        return new Reached($person, $keys, false === $place || $place >= $most ? null : $presses, $alike);
    }
}
