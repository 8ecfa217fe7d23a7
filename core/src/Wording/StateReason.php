<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Time\Decision;
use Meandros\Core\Time\Reading;
use Meandros\Core\Time\TimeOfDay;

/** Why hours are in a state, and until when. */
final class StateReason
{
    public static function words(Reading $reading, string $zone): string
    {
        $ends = $reading->decision->origin->ends;
        if (null !== $ends && $ends !== $reading->until) {
            return \sprintf(
                '%s until %s, and it stays so %s.',
                self::decision($reading->decision),
                When::instantFrom($reading->decision->day, $ends, $zone),
                self::until($reading, $zone),
            );
        }

        return \sprintf('%s, %s.', self::decision($reading->decision), self::until($reading, $zone));
    }

    public static function decision(Decision $decision): string
    {
        $band = $decision->band;
        $times =
            null === $band ? null : TimeOfDay::format($band->fromSeconds) . '–' . TimeOfDay::format($band->toSeconds);
        $date = When::date($decision->day);
        $week = null === $decision->season ? 'the week' : \sprintf('the season “%s”', $decision->season);

        return match ($decision->by) {
            Decision::OVERRIDE => \sprintf('%s forced it (“%s”)', $decision->origin->of, $decision->origin->name),
            Decision::SPECIAL_DAY => null === $times
                ? \sprintf('on the special day “%s” (%s) no band covers this time', $decision->origin->name, $date)
                : \sprintf('the special day “%s” (%s) has it %s', $decision->origin->name, $date, $times),
            Decision::HOLIDAY => null === $band || TimeOfDay::DAY === $band->toSeconds - $band->fromSeconds
                ? \sprintf('%s (%s) is a holiday of %s', $decision->origin->name, $date, $decision->origin->of)
                : \sprintf(
                    '%s (%s) is a holiday of %s from %s',
                    $decision->origin->name,
                    $date,
                    $decision->origin->of,
                    str_replace('–', ' to ', (string) $times),
                ),
            Decision::WEEK => \sprintf('%s has it on %s %s', $week, gmdate('l', $decision->day * 86400), $times),
            default => null === $decision->season
                ? 'no band covers this time, so the default state holds'
                : \sprintf('no band of %s covers this time, so the default state holds', $week),
        };
    }

    private static function until(Reading $reading, string $zone): string
    {
        return null === $reading->until
            ? 'with no change in sight'
            : 'until ' . When::instantFrom($reading->decision->day, $reading->until, $zone);
    }
}
