<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Overflow\Overflow;
use Meandros\Core\Overflow\Stay;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Plan\Step\QueueStep;
use Meandros\Core\Time\Decision;
use Meandros\Core\Time\Moment;
use Meandros\Core\Value\Lists;

/**
 * A queue whose calls, when nobody takes them, come to hours that are closed then: on an ordinary day of winter or summer.
 *
 * @implements Check<Journey>
 */
final class OverflowIntoClosed implements Check
{
    /** Mondays, at midnight in UTC, of a week in winter and one in summer: 12 January and 6 July 2026. */
    private const WEEKS = [1768176000, 1783296000];

    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($survey->overflow->staysOf($element) as $stay) {
            $given = $stay->step instanceof QueueStep ? $survey->overflow->givenAt($stay) : [];
            foreach ([] === $given ? [] : self::hoursAfter($survey->overflow, $stay) as $id) {
                $hours = isset($given[$id]) ? null : $survey->plan->get(Hours::class, $id);
                $closed = null === $hours ? null : self::firstClosed($survey->plan, $given, $hours);
                if (null !== $hours && null !== $closed) {
                    $queue = $survey->plan->nameOf($stay->by);
                    yield Finding::warning(
                        $element,
                        $stay->place,
                        'overflow-into-closed',
                        ['queue' => $queue, 'hours' => $hours->name()] + $closed,
                    );
                }
            }
        }
    }

    /** @return list<string> hours that calls come to before anybody else may take them, by id */
    private static function hoursAfter(Overflow $overflow, Stay $stay): array
    {
        $hours = [];
        foreach ($overflow->from($stay) as $flow) {
            $hours += $flow->hours;
        }

        return array_keys($hours);
    }

    /**
     * @param array<string, list<string>> $given states, by hours
     *
     * @return array{day: string, time: string}|null when they are closed while all that is given holds, in their own zone
     */
    private static function firstClosed(Plan $plan, array $given, Hours $hours): ?array
    {
        $running = new PlanHours($plan);
        foreach (self::WEEKS as $monday) {
            for ($now = $monday; $now < $monday + 7 * 86400; $now = $next) {
                $reading = $running->read($hours, $now);
                $next = $reading->until ?? \PHP_INT_MAX;
                $holds =
                    false === $hours->states->find($reading->state)?->open &&
                    Lists::has([Decision::WEEK, Decision::DEFAULT], $reading->decision->by);
                foreach ($given as $id => $states) {
                    $before = $plan->get(Hours::class, $id);
                    $reading = null === $before ? null : $running->read($before, $now);
                    $next = min($next, $reading->until ?? \PHP_INT_MAX);
                    $holds = $holds && null !== $reading && Lists::has($states, $reading->state);
                }
                if ($holds) {
                    $local = Moment::format($now, $running->zone($hours));

                    return [
                        'day' => gmdate('N', (int) strtotime(substr($local, 0, 10) . ' UTC')),
                        'time' => substr($local, 11, 5),
                    ];
                }
            }
        }

        return null;
    }
}
