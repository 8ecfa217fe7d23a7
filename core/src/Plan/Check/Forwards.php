<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Destination;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\RuleOutcome;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\RingStep;

/** Finds calls to numbers outside that no outside line may carry. */
final class Forwards
{
    /** @var list<Finding> */
    private array $findings = [];

    private function __construct(private readonly Lines $lines)
    {
    }

    /** @return list<Finding> */
    public static function in(Plan $plan): array
    {
        $self = new self(new Lines($plan));
        if (!$self->lines->areKnown()) {
            return [];
        }
        foreach ($plan->all(Person::class) as $person) {
            $self->person($person);
        }
        foreach ($plan->all(Team::class) as $team) {
            foreach ($team->members as $i => $member) {
                null !== $member->who->number && $member->on && $self->number($team, '/members/'.$i, $member->who->number, null);
            }
        }
        foreach ($plan->all(Journey::class) as $journey) {
            foreach ($journey->steps->everyStep('/steps') as $place => $step) {
                $step instanceof RingStep && null !== $step->target?->number && $self->number($journey, $place, $step->target->number, null);
            }
        }
        $self->emergency();

        return $self->findings;
    }

    private function person(Person $person): void
    {
        foreach ($person->phones as $i => $phone) {
            null !== $phone->number && $phone->on && $this->number($person, '/phones/'.$i, $phone->number, $person->site);
        }
        foreach ($person->rules as $i => $rule) {
            $outside = array_map(static fn (RuleOutcome $outcome): ?string => $outcome->to?->number, $rule->on ? $rule->then : []);
            foreach (array_unique(array_filter($outside)) as $number) {
                $this->number($person, '/rules/'.$i, $number, $person->site);
            }
        }
    }

    private function number(Element $element, string $pointer, string $number, ?string $site): void
    {
        $carriers = $this->lines->carriers($number, $site);
        if (1 === \count($carriers) && 1 === $carriers[0]->channels && null !== $site && $carriers[0] === ($this->lines->of($site)[0] ?? null)) {
            $fix = Fix::replace(\sprintf('Let “%s” carry two calls at once', $carriers[0]->name()), $carriers[0]->id(), '/channels', 2);
            $this->findings[] = Finding::warning($element, $pointer, \sprintf('“%s” carries one call at once: a call that comes in by it leaves no channel to %s.', $carriers[0]->name(), PhoneNumber::international($number)), 'Give it another channel, or allow the call on another line.', $fix);
        }
        if ([] !== $carriers || $this->lines->isOwn($number)) {
            return;
        }
        $line = $this->lines->from($site)[0];
        $destination = $this->lines->destination($number, $line);
        $this->findings[] = Finding::warning(
            $element,
            $pointer,
            \sprintf('No outside line may carry calls to %s (%s).', PhoneNumber::international($number), $destination->value),
            'Allow it on a line, or ring another phone.',
            Fix::add(\sprintf('Let “%s” carry %s calls', $line->name(), $destination->value), $line->id(), '/destinations/-', $destination->value),
        );
    }

    private function emergency(): void
    {
        $all = $this->lines->from(null);
        if ([] === array_filter($all, static fn (OutsideLine $line): bool => \in_array(Destination::Emergency, $line->destinations, true))) {
            $fix = Fix::add(\sprintf('Let “%s” carry them', $all[0]->name()), $all[0]->id(), '/destinations/-', Destination::Emergency->value);
            $this->findings[] = Finding::warning($all[0], '/destinations', 'No outside line may carry emergency calls.', 'Allow them on a line.', $fix);
        }
    }
}
