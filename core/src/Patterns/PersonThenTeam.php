<?php

declare(strict_types=1);

namespace Meandros\Core\Patterns;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;

/** Somebody is rung, then a team, then a message is taken. */
final class PersonThenTeam implements Pattern
{
    public function asks(): array
    {
        return [
            new Ask('person', [Kind::Person]),
            new Ask('team', [Kind::Team, Kind::Queue]),
            new Ask('mailbox', [Kind::Mailbox]),
        ];
    }

    public function steps(Plan $plan, array $answers): array
    {
        return [
            Leads::to($plan, $answers['person'], 15),
            Leads::to($plan, $answers['team']),
            ...Leads::lastTo($answers['mailbox']),
        ];
    }
}
