<?php

declare(strict_types=1);

namespace Meandros\Core\Patterns;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;

/** While it is open somebody takes the call; otherwise callers hear so and leave a message. */
final class OpenOrClosed implements Pattern
{
    public function asks(): array
    {
        return [
            new Ask('hours', [Kind::Hours]),
            new Ask('who', [Kind::Person, Kind::Team, Kind::Queue, Kind::Journey]),
            new Ask('closed', [Kind::Prompt], true),
            new Ask('mailbox', [Kind::Mailbox]),
        ];
    }

    public function steps(Plan $plan, array $answers): array
    {
        $exits = [];
        foreach ($plan->get(Hours::class, $answers['hours'])->states->all ?? [] as $state) {
            if (!$state->open) {
                $say = isset($answers['closed']) ? [['do' => 'say', 'prompt' => $answers['closed']]] : [];
                $exits[] = [
                    'on' => $state->key,
                    'label' => '',
                    'steps' => [...$say, ...Leads::lastTo($answers['mailbox'])],
                ];
            }
        }

        return [
            ['do' => 'hours', 'hours' => $answers['hours'], 'exits' => $exits],
            Leads::to($plan, $answers['who']),
            ...Leads::lastTo($answers['mailbox']),
        ];
    }
}
