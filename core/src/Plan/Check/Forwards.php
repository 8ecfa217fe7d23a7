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
                $member->isOutside() && $member->on && $self->number($team, '/members/'.$i, $member->who, null);
            }
        }
        foreach ($plan->all(Journey::class) as $journey) {
            foreach ($journey->steps->everyStep('/steps') as $place => $step) {
                $step instanceof RingStep && $step->ringsOutside() && $self->number($journey, $place, (string) $step->target, null);
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
            $outside = array_filter($rule->on ? $rule->then : [], static fn (RuleOutcome $outcome): bool => $outcome->isOutside());
            foreach (array_unique(array_map(static fn (RuleOutcome $outcome): string => (string) $outcome->to, $outside)) as $number) {
                $this->number($person, '/rules/'.$i, $number, $person->site);
            }
        }
    }

    private function number(Element $element, string $pointer, string $number, ?string $site): void
    {
        if ([] !== $this->lines->carriers($number, $site)) {
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
