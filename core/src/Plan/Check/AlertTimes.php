<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\RingPattern;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Element\TeamMember;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\RingStep;

/** Finds alert times and tiers of teams for which no step or stage that rings the team leaves time, and greetings that come too late. */
final class AlertTimes
{
    /** @return list<Finding> */
    public static function in(Plan $plan): array
    {
        $limits = $findings = [];
        foreach ($plan->all(Journey::class) as $journey) {
            foreach ($journey->steps->everyStep('/steps') as $place => $step) {
                if ($step instanceof RingStep && null !== $step->target && !$step->handOver) {
                    $limits[$step->target->text()] = max($step->seconds, $limits[$step->target->text()] ?? 0);
                }
                if ($step instanceof RingStep && null !== $step->greeting && $step->greetAfter >= $step->seconds) {
                    $fix = Fix::replace('Greet half-way', $journey->id(), $place.'/greetAfter', intdiv($step->seconds, 2));
                    $findings[] = Finding::warning($journey, $place, \sprintf('The greeting is never heard: it would begin after %d s, and the step is over after %d s.', $step->greetAfter, $step->seconds), 'Greet earlier, or ring longer.', $fix);
                }
            }
        }
        foreach ($plan->all(Person::class) as $person) {
            foreach ($person->rules as $rule) {
                foreach ($rule->stages as $stage) {
                    foreach ($stage->teams as $team) {
                        $limits[$team] = max($stage->seconds, $limits[$team] ?? 0);
                    }
                }
            }
        }
        foreach ($plan->all(Team::class) as $team) {
            if (isset($limits[$team->id()])) {
                array_push($findings, ...self::team($team, $limits[$team->id()]));
            }
        }

        return $findings;
    }

    /**
     * @param int $limit the longest that any step or stage rings the team
     *
     * @return list<Finding>
     */
    private static function team(Team $team, int $limit): array
    {
        $findings = [];
        $ringing = array_filter($team->members, static fn (TeamMember $member): bool => $member->on);
        foreach ($ringing as $i => $member) {
            $starts = RingPattern::Widening === $team->pattern ? ($member->tier - 1) * $team->widenSeconds : 0;
            if ($starts >= $limit) {
                $every = intdiv($limit, $member->tier);
                $fix = 0 === $every ? null : Fix::replace(\sprintf('Widen every %d s', $every), $team->id(), '/widenSeconds', $every);
                $findings[] = Finding::warning($team, '/members/'.$i, \sprintf('Tier %d never rings: it would join after %d s, and no step rings this team for longer than %d s.', $member->tier, $starts, $limit), 'Widen faster, or ring longer.', $fix);
            } elseif (null !== $member->seconds && $member->seconds > $limit) {
                $fix = Fix::replace(\sprintf('Ring at most %d s', $limit), $team->id(), \sprintf('/members/%d/seconds', $i), $limit);
                $findings[] = Finding::warning($team, '/members/'.$i, \sprintf('This member is to ring for up to %d s, and no step rings this team for longer than %d s.', $member->seconds, $limit), 'Shorten it, or ring longer.', $fix);
            }
        }
        if ($team->pattern->isInTurn() && \count($ringing) > 1 && $team->memberSeconds >= $limit) {
            $each = intdiv($limit, \count($ringing));
            $fix = 0 === $each ? null : Fix::replace(\sprintf('Ring each for %d s', $each), $team->id(), '/memberSeconds', $each);
            $findings[] = Finding::warning($team, '/memberSeconds', \sprintf('Only the first rings: each has %d s, and no step rings this team for longer than %d s.', $team->memberSeconds, $limit), 'Ring each for less, or ring longer.', $fix);
        }

        return $findings;
    }
}
