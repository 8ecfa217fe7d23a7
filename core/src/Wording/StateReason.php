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
        return \sprintf('%s, %s.', self::decision($reading->decision), self::until($reading, $zone));
    }

    public static function decision(Decision $decision): string
    {
        $band = null === $decision->band ? null : TimeOfDay::format($decision->band->fromSeconds).'–'.TimeOfDay::format($decision->band->toSeconds);
        $date = When::date($decision->day);

        return match ($decision->by) {
            Decision::SPECIAL_DAY => null === $band
                ? \sprintf('on the special day “%s” (%s) no band covers this time', $decision->name, $date)
                : \sprintf('the special day “%s” (%s) has it %s', $decision->name, $date, $band),
            Decision::WEEK => \sprintf('the week has it on %s %s', gmdate('l', $decision->day * 86400), $band),
            default => 'no band covers this time, so the default state holds',
        };
    }

    private static function until(Reading $reading, string $zone): string
    {
        return null === $reading->until ? 'with no change in sight' : 'until '.When::instant($reading->until, $zone);
    }
}
