<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Call\Caller;
use Meandros\Core\Plan\Element\AnsweringRule;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Status;
use Meandros\Core\Plan\Element\Via;
use Meandros\Core\Routing\Walk;

/** Finds the answering rule that holds for a call: the first of a person's rules whose every condition is met. */
final readonly class Answering
{
    public function __construct(private Walk $walk)
    {
    }

    public function of(Person $person, Via $via): Choice
    {
        $status = $this->walk->statusOf($person->id());
        $considered = [];
        foreach ($person->rules as $rule) {
            $why = $this->whyNot($rule, $status, $via);
            $considered[] = new Considered($rule->id, $rule->name, $why);
            if (null === $why) {
                return new Choice($rule, $considered, $status);
            }
        }

        return new Choice(null, $considered, $status);
    }

    private function whyNot(AnsweringRule $rule, Status $status, Via $via): ?string
    {
        if (!$rule->on) {
            return 'it is off';
        }
        if (!\in_array($status, [] === $rule->statuses ? [Status::Available] : $rule->statuses, true)) {
            return \sprintf('the status is “%s”', $status->value);
        }
        if (Via::Any !== $rule->via && $via !== $rule->via) {
            return Via::Direct === $rule->via ? 'the call comes through a team' : 'the call comes directly';
        }
        if ([] !== $rule->callers && [] === array_filter($rule->callers, $this->isFrom(...))) {
            return 'somebody else calls';
        }
        $hours = $this->walk->plan->get(Hours::class, $rule->hours);
        $state = null === $hours ? null : $this->walk->read($hours)->state;

        return null === $hours || \in_array($state, $rule->states, true) ? null : \sprintf('%s: %s', $hours->name(), $hours->state((string) $state)->name ?? $state);
    }

    private function isFrom(string $caller): bool
    {
        $from = $this->walk->call->caller;

        return match ($caller) {
            'withheld' => Caller::WITHHELD === $from->text,
            'internal' => $from->isExtension(),
            default => str_starts_with($from->text, $caller),
        };
    }
}
