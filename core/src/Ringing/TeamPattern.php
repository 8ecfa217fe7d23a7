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
        $everybody = static fn(): array => array_map(
            static fn(TeamMember $member): string => $member->who->text(),
            $team->members,
        );
        $inTurn = static fn(Order $order): Pattern => new InTurn($team->order->memberSeconds, $order);

        return match ($team->order->pattern) {
            RingPattern::AllAtOnce => new AllAtOnce(),
            RingPattern::OneAfterTheOther => $inTurn(new TeamOrder()),
            RingPattern::Rotating => $inTurn(new Rotating($everybody(), $earlier->lastOf($team->id()))),
            RingPattern::LongestIdle => $inTurn(
                new ByFigure(static fn(string $who): int => -$earlier->idleSeconds($who)),
            ),
            RingPattern::FewestCalls => $inTurn(new ByFigure($earlier->calls(...))),
            RingPattern::Random => $inTurn(new Shuffled($everybody(), $earlier->seed)),
            RingPattern::Widening => new Widening($team->order->widenSeconds),
            RingPattern::Paging => new Paging($team->id()),
        };
    }
}
