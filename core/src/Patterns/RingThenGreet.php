<?php

declare(strict_types=1);

namespace Meandros\Core\Patterns;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;

/** The phones ring at once; whoever waits is greeted while they ring on. */
final class RingThenGreet implements Pattern
{
    public function asks(): array
    {
        return [
            new Ask('who', [Kind::Person, Kind::Team]),
            new Ask('greeting', [Kind::Prompt]),
            new Ask('mailbox', [Kind::Mailbox]),
        ];
    }

    public function steps(Plan $plan, array $answers): array
    {
        return [
            ['greeting' => $answers['greeting'], 'greetAfter' => 10] + Leads::to($plan, $answers['who'], 30),
            ...Leads::lastTo($answers['mailbox']),
        ];
    }
}
