<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Called;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\QueueMember;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Target;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Value\Lists;

/** Assumptions about somebody or something that the plan does not have would silently test nothing: they are refused. */
final class AssumptionCheck
{
    /** @var list<Problem> */
    private array $problems = [];

    private function __construct(private readonly Plan $plan) {}

    /** @throws InvalidData at the field, within the assumptions */
    public static function check(Plan $plan, Assumptions $assumptions, TrialCall $call): void
    {
        $self = new self($plan);
        foreach ($assumptions->phones as $i => $phone) {
            Assumptions::EVERY_PHONE === $phone->who || $self->who('/phones/' . $i . '/who', $phone->who);
        }
        foreach (self::names($assumptions->circumstances->statuses) as $i => $person) {
            null !== $plan->get(Person::class, $person) ||
                $self->complain(\sprintf('/statuses/%d/who', $i), $person, 'person');
        }
        foreach (self::names($assumptions->circumstances->channelsTaken) as $i => $line) {
            null !== $plan->get(OutsideLine::class, $line) ||
                $self->complain(\sprintf('/lines/%d/line', $i), $line, 'line');
        }
        foreach (self::names($assumptions->circumstances->queues) as $i => $id) {
            $queue = $plan->get(Queue::class, $id);
            null !== $queue || $self->complain(\sprintf('/queues/%d/queue', $i), $id, 'queue');
            $members = array_flip(
                array_map(static fn(QueueMember $member): string => $member->who, $queue->agents->members ?? []),
            );
            foreach (self::names($assumptions->circumstances->queues[$id]->agents) as $j => $who) {
                null === $queue ||
                    isset($members[$who]) ||
                    $self->complain(\sprintf('/queues/%d/agents/%d/who', $i, $j), $who, 'agent');
            }
        }
        $place = 0;
        foreach ($assumptions->circumstances->queues as $state) {
            if (null !== $state->caller->keeps && Caller::WITHHELD === $call->caller->text) {
                $self->problems[] = new Problem(\sprintf('/queues/%d/keeps', $place), 'withheld-called-back');
            }
            ++$place;
        }
        foreach ($assumptions->circumstances->sitesDown as $i => $site) {
            null !== $plan->get(Site::class, $site) || $self->complain('/down/' . $i, $site, 'site');
        }
        $parked = $assumptions->parked;
        null === $parked->by ||
            null !== $plan->get(Person::class, $parked->by) ||
            $self->complain('/parked/by', $parked->by, 'person');
        foreach ($parked->taken as $i => $place) {
            $plan->dialled($place) instanceof Site || $self->complain('/parked/taken/' . $i, $place, 'park place');
        }
        foreach (self::names($assumptions->earlier->last) as $i => $team) {
            $last = $assumptions->earlier->last[$team];
            if (null === $plan->get(Team::class, $team)) {
                $self->complain(\sprintf('/earlier/last/%d/team', $i), $team, 'team');
            } elseif (!$self->isMember($team, $last)) {
                $self->complain(\sprintf('/earlier/last/%d/who', $i), $last, 'member');
            }
        }
        foreach (self::names($assumptions->earlier->calls) as $i => $member) {
            $self->who(\sprintf('/earlier/members/%d/who', $i), $member);
        }
        if ([] !== $self->problems) {
            throw new InvalidData($self->problems);
        }
    }

    /**
     * @param array<string, mixed> $by
     *
     * @return list<string> its keys, as they were given: PHP takes "1" for a number
     */
    private static function names(array $by): array
    {
        return array_map(strval(...), array_keys($by));
    }

    private function who(string $pointer, string $text): void
    {
        $target = Target::parse($text);
        $person = $this->plan->get(Person::class, $target?->element);
        $known = match (true) {
            null !== $target?->number => $this->isCalled($target->number),
            null !== $target?->phone => true === $person?->parts()->have($target->phone),
            default => null !== $person,
        };
        $known || $this->complain($pointer, $text, null !== $person ? 'phone' : 'somebody');
    }

    private function isMember(string $team, string $who): bool
    {
        foreach ($this->plan->get(Team::class, $team)->members ?? [] as $member) {
            if ($member->who->text() === $who) {
                return true;
            }
        }

        return false;
    }

    private function isCalled(string $number): bool
    {
        foreach ($this->plan->mentioning($number) as $element) {
            if (Lists::has(Called::by($element), $number)) {
                return true;
            }
        }

        return false;
    }

    private function complain(string $pointer, string $text, string $no): void
    {
        $this->problems[] = new Problem($pointer, 'assumption-of-nothing', [
            'text' => Input::quote($text),
            'no' => $no,
        ]);
    }
}
