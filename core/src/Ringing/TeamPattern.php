<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Call\Earlier;
use Meandros\Core\Plan\Element\RingPattern;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Element\TeamMember;

/** The pattern of a team, given what earlier calls left behind. */
final class TeamPattern
{
    public static function of(Team $team, Earlier $earlier): Pattern
    {
        $inTurn = static fn (Order $order): Pattern => new OneAfterTheOther($team->memberSeconds, $order);

        return match ($team->pattern) {
            // A team that is paged does not ring; as part of a stage it rings all at once.
            RingPattern::AllAtOnce, RingPattern::Paging => new AllAtOnce(),
            RingPattern::OneAfterTheOther => $inTurn(new TeamOrder()),
            RingPattern::Rotating => $inTurn(new Rotating(array_map(static fn (TeamMember $member): string => $member->who, $team->members), $earlier->lastOf($team->id()))),
            RingPattern::LongestIdle => $inTurn(new ByFigure(static fn (string $who): int => -$earlier->idleSeconds($who))),
            RingPattern::FewestCalls => $inTurn(new ByFigure($earlier->calls(...))),
            RingPattern::Random => $inTurn(new Shuffled($earlier->seed)),
            RingPattern::Widening => new Widening($team->widenSeconds),
        };
    }
}
