<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\Status;
use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\AnsweringRule;
use Meandros\Core\Plan\Element\Clock;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\HoursDays;
use Meandros\Core\Plan\Element\HoursStates;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\RuleCondition;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Element\State;
use Meandros\Core\Plan\Element\Via;
use Meandros\Core\Plan\Json\BandReader;
use Meandros\Core\Routing\Walk;
use Meandros\Core\Time\Moment;
use Meandros\Core\Value\Lists;

/** Finds the answering rule that holds for a call: the first of a person's rules whose every condition is met. */
final readonly class Answering
{
    public function __construct(private Walk $walk) {}

    /** The rule that holds for a call through a team: of many people, so that what was considered is not kept. */
    public function ofMember(Person $person): Choice
    {
        $status = $this->walk->statusOf($person->id());
        foreach ($person->reach->rules as $rule) {
            if (null === $this->whyNot($person, $rule, $status, Via::Team)) {
                return new Choice($rule, [], $status);
            }
        }

        return new Choice(null, [], $status);
    }

    public function of(Person $person, Via $via): Choice
    {
        $status = $this->walk->statusOf($person->id());
        $considered = [];
        foreach ($person->reach->rules as $rule) {
            $why = $this->whyNot($person, $rule, $status, $via);
            $considered[] = new Considered($rule->id, $rule->name, $why);
            if (null === $why) {
                return new Choice($rule, $considered, $status);
            }
        }

        return new Choice(null, $considered, $status);
    }

    private function whyNot(Person $person, AnsweringRule $rule, Status $status, Via $via): ?string
    {
        $when = $rule->term->when;

        return match (true) {
            !$rule->term->on => 'it is off',
            null !== $rule->term->until &&
                $this->walk->hasPassed(Moment::parse($rule->term->until, $this->zone($person)))
                => \sprintf('it ended on %s', str_replace('T', ' at ', $rule->term->until)),
            !Lists::has($when->statusesMeant(), $status) => \sprintf('the status is “%s”', $status->value),
            Via::Any !== $when->via && $via !== $when->via => Via::Direct === $when->via
                ? 'the call comes through a team'
                : 'the call comes directly',
            [] !== $when->callers && [] === array_filter($when->callers, $this->isFrom(...)) => 'somebody else calls',
            [] !== $when->windows && BandReader::WINDOW !== $this->walk->read($this->windows($person, $rule))->state
                => 'it is not its time',
            default => $this->whyNotByHours($when),
        };
    }

    private function whyNotByHours(RuleCondition $when): ?string
    {
        $hours = $this->walk->plan->get(Hours::class, $when->hours);
        $state = null === $hours ? null : $this->walk->read($hours)->state;

        return null === $hours || Lists::has($when->states, $state)
            ? null
            : \sprintf('%s: %s', $hours->name(), $hours->states->nameOf((string) $state));
    }

    /** The windows of a rule as hours of their own, in the zone of the person's site. */
    private function windows(Person $person, AnsweringRule $rule): Hours
    {
        $states = [new State(BandReader::WINDOW, 'in', true), new State('out', 'out', false)];

        return new Hours(
            new About($person->id() . '/' . $rule->id, $rule->name),
            new Clock($person->site),
            new HoursStates($states, 'out'),
            new HoursDays($rule->term->when->windows),
        );
    }

    private function zone(Person $person): string
    {
        return $this->walk->plan->zoneOf($person->site);
    }

    private function isFrom(string $caller): bool
    {
        $from = $this->walk->arrival()->caller;

        return match ($caller) {
            'withheld' => Caller::WITHHELD === $from->text,
            'internal' => $from->isExtension(),
            default => str_starts_with($from->text, $caller),
        };
    }
}
