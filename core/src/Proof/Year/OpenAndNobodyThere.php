<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Happening\HoursRead;
use Meandros\Core\Routing\Happening\Ringing;

/** Hours say open, the journey rings somebody, and no phone of theirs rings. */
final class OpenAndNobodyThere implements CallCheck
{
    /** @var array<string, array{string, array<string, string|int>}> the first one with its journey, by journey and target */
    private array $found = [];

    public function see(Seen $seen, Fares $fares): void
    {
        $open = null;
        $targets = [];
        foreach ($seen->course->trace->passage->events as $event) {
            $happening = $event->happening;
            if ($happening instanceof HoursRead && null !== $happening->reading) {
                $hours = $fares->plan->get(Hours::class, $happening->hours);
                $open = null !== $hours && $hours->isOpen($happening->reading->state) ? $hours : null;
            } elseif ($happening instanceof Ringing && null === $happening->why->turn) {
                if (
                    [] !== array_filter($happening->rung, static fn(Rung $rung): bool => null !== $rung->times->rings)
                ) {
                    // Somebody is there, if not those.
                    return;
                }
                $target = $happening->target?->text();
                if (null !== $open && null !== $target && null !== $event->journey) {
                    $targets[$target] = [$event->journey, $open];
                }
            }
        }
        foreach ($seen->course->reach->isSomebody() ? [] : $targets as $target => [$id, $hours]) {
            $this->found["$id $target"] ??= [
                $id,
                [
                    'hours' => $hours->name(),
                    'who' => $fares->plan->find(explode('/', $target)[0])?->name() ?? $target,
                    'first' => LocalClock::of($seen->instant(), $fares->hours->zone($hours)),
                ],
            ];
        }
    }

    public function add(CallCheck $one, array $numbers): void
    {
        \assert($one instanceof self);
        $this->found += $one->found;
    }

    public function found(Fares $fares): iterable
    {
        foreach ($this->found as [$id, $arguments]) {
            $journey = $fares->plan->get(Journey::class, $id);
            if (null !== $journey) {
                yield Finding::warning($journey, '/steps', 'open-and-nobody-there', $arguments);
            }
        }
    }
}
