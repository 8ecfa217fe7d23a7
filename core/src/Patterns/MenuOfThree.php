<?php

declare(strict_types=1);

namespace Meandros\Core\Patterns;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Limits;

/** A menu with three keys, and somewhere for whoever presses none. */
final class MenuOfThree implements Pattern
{
    public function asks(): array
    {
        return [
            new Ask('prompt', [Kind::Prompt]),
            new Ask('one', [Kind::Person, Kind::Team, Kind::Queue, Kind::Journey, Kind::Mailbox]),
            new Ask('two', [Kind::Person, Kind::Team, Kind::Queue, Kind::Journey, Kind::Mailbox]),
            new Ask('three', [Kind::Person, Kind::Team, Kind::Queue, Kind::Journey, Kind::Mailbox]),
            new Ask('otherwise', [Kind::Person, Kind::Team, Kind::Queue, Kind::Journey, Kind::Mailbox]),
        ];
    }

    public function steps(Plan $plan, array $answers): array
    {
        $exits = [];
        foreach (['1' => 'one', '2' => 'two', '3' => 'three'] as $key => $name) {
            $exits[] = [
                'on' => (string) $key,
                'label' => mb_substr($plan->find($answers[$name])?->name() ?? '', 0, Limits::LABEL),
                'steps' => [Leads::to($plan, $answers[$name])],
            ];
        }

        return [
            ['do' => 'menu', 'prompt' => $answers['prompt'], 'exits' => $exits],
            Leads::to($plan, $answers['otherwise']),
        ];
    }
}
