<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\State;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;

/** Look at hours, with a step for one of their states: "if Bookings hours closed message Reception". */
final class TypedIf implements TypedKind
{
    public function begins(): string
    {
        return 'if';
    }

    public function example(): string
    {
        return 'if …';
    }

    public function read(Line $line): ?array
    {
        $hours = $line->hours();
        if (null === $hours) {
            return null;
        }
        $state = self::state($line, $hours);
        $step = null === $state ? null : StepLines::step($line);

        return null === $state || null === $step
            ? null
            : [
                'do' => 'hours',
                'hours' => $hours->id(),
                'exits' => [['on' => $state->key, 'label' => '', 'steps' => [$step]]],
            ];
    }

    private static function state(Line $line, Hours $hours): ?State
    {
        foreach ($hours->states->all as $state) {
            if (
                null !==
                $line->take('(?:is )?(?:' . preg_quote($state->name, '/') . '|' . preg_quote($state->key, '/') . '):?')
            ) {
                return $state;
            }
        }
        $line->offer(array_map(static fn(State $state): string => mb_strtolower($state->name), $hours->states->all));

        return null;
    }

    public function write(Step $step, Plan $plan): null
    {
        return null;
    }
}
