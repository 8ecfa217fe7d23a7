<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\AnsweringRule;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Routing\Happening\Ringing;

/** Somebody is rung while none of the hours by which their own rules go is open, and no rule says so. */
final class RungOutsideHours implements CallCheck
{
    /** @var array<string, array<string, string|int>> the first time, by person */
    private array $found = [];

    public function see(Seen $seen, Fares $fares): void
    {
        foreach ($seen->course->trace->passage->events as $event) {
            if (!($event->happening instanceof Ringing) || null !== $event->happening->why->choice?->rule) {
                continue;
            }
            foreach ($event->happening->rung as $rung) {
                $person =
                    null === $rung->times->rings ? null : $fares->plan->get(Person::class, $rung->phone->owner->person);
                if (null === $person || isset($this->found[$person->id()])) {
                    continue;
                }
                $instant = $seen->instant() + (int) $rung->times->rings;
                $own = self::own($person, $fares);
                $open = array_filter(
                    $own,
                    static fn(Hours $hours): bool => $hours->isOpen($fares->hours->read($hours, $instant)->state),
                );
                if ([] !== $own && [] === $open) {
                    $this->found[$person->id()] = [
                        'hours' => implode(', ', array_map(static fn(Hours $one): string => $one->name(), $own)),
                        'number' => $seen->number->name(),
                        'first' => LocalClock::of($instant, $fares->plan->zoneOf($person->site)),
                    ];
                }
            }
        }
    }

    public function add(CallCheck $one, array $numbers): void
    {
        \assert($one instanceof self);
        $this->found += $one->found;
    }

    /** @return list<Hours> by which their rules go */
    private static function own(Person $person, Fares $fares): array
    {
        $ids = array_map(
            static fn(AnsweringRule $rule): ?string => $rule->term->on ? $rule->term->when->hours : null,
            $person->reach->rules,
        );

        return array_values(
            array_filter(
                array_map(
                    static fn(string $id): ?Hours => $fares->plan->get(Hours::class, $id),
                    array_unique(array_filter($ids)),
                ),
            ),
        );
    }

    public function found(Fares $fares): iterable
    {
        foreach ($this->found as $id => $arguments) {
            $person = $fares->plan->get(Person::class, $id);
            if (null !== $person) {
                yield Finding::warning($person, '/rules', 'rung-outside-hours', $arguments);
            }
        }
    }
}
