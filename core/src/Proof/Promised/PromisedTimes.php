<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\CalendarUse;
use Meandros\Core\Plan\Element\Clock;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\HoursDays;
use Meandros\Core\Plan\Element\HoursStates;
use Meandros\Core\Plan\Element\State;
use Meandros\Core\Plan\Expected\ExpectedTimes;
use Meandros\Core\Plan\Json\BandReader;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;

/** The instants at which a promise holds. */
final readonly class PromisedTimes
{
    private const OUT = 'out';

    /** @param list<array{Hours, array<string, true>}> $conditions hours, with the states in which they must be */
    private function __construct(private array $conditions, private PlanHours $hours) {}

    /** @param string $zone IANA, by whose clock windows and holidays begin */
    public static function of(ExpectedTimes $when, string $zone, Plan $plan, PlanHours $hours): self
    {
        $conditions = [];
        $of = $plan->get(Hours::class, $when->hours);
        if (null !== $of) {
            $open = array_filter($of->states->all, static fn(State $state): bool => $state->open);
            $states =
                [] === $when->states ? array_map(static fn(State $one): string => $one->key, $open) : $when->states;
            $conditions[] = [$of, array_fill_keys($states, true)];
        }
        if ([] !== $when->windows) {
            $conditions[] = [
                self::made('windows ' . serialize($when->windows), $zone, $when),
                [BandReader::WINDOW => true],
            ];
        }
        if (null !== $when->calendar) {
            $holidays = new ExpectedTimes(calendar: $when->calendar);
            $conditions[] = [self::made('holidays ' . $when->calendar, $zone, $holidays), [BandReader::WINDOW => true]];
        }

        return new self($conditions, $hours);
    }

    /** Hours that are in when it is, and out else. */
    private static function made(string $name, string $zone, ExpectedTimes $when): Hours
    {
        return new Hours(
            // No id of an element has a space.
            new About($zone . ' ' . $name, $name),
            new Clock('', $zone),
            new HoursStates([new State(BandReader::WINDOW, 'in', true), new State(self::OUT, 'out', false)], self::OUT),
            new HoursDays(
                $when->windows,
                calendars: null === $when->calendar ? [] : [new CalendarUse($when->calendar, BandReader::WINDOW, [])],
            ),
        );
    }

    /** @return list<array{int, int}> first instants, and first instants after them, in order */
    public function within(int $from, int $until): array
    {
        $intervals = [];
        for ($at = $from; $at < $until; $at = $next) {
            $next = $until;
            $holds = true;
            foreach ($this->conditions as [$hours, $states]) {
                $reading = $this->hours->read($hours, $at);
                $next = min($next, max($at + 1, $reading->until ?? $until));
                $holds = $holds && isset($states[$reading->state]);
            }
            $last = \count($intervals) - 1;
            if ($holds && $last >= 0 && $intervals[$last][1] === $at) {
                $intervals[$last][1] = $next;
            } elseif ($holds) {
                $intervals[] = [$at, $next];
            }
        }

        return $intervals;
    }
}
