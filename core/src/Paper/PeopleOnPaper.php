<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

use Meandros\Core\Plan\Element\AnsweringRule;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\QueueMember;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Element\TeamMember;
use Meandros\Core\Plan\OwnNumber;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Target;

/** Who rings, and where messages are left. */
final readonly class PeopleOnPaper
{
    public function __construct(private Plan $plan, private PaperWords $words) {}

    public function people(): Table
    {
        return new Table(
            $this->words->head('name', 'extension', 'own-number', 'phones', 'rules', 'mailbox'),
            array_map(
                fn(Person $person): array => [
                    $person->name(),
                    '' === $person->known->extension ? PaperWords::NONE : $person->known->extension,
                    $this->words->number(OwnNumber::of($this->plan, $person)),
                    $this->words->list(
                        array_map(
                            fn(Phone $phone): string => $phone->label .
                                (null === $phone->number() ? '' : ' ' . $this->words->number($phone->number())),
                            array_values(
                                array_filter(
                                    $person->reach->phones,
                                    static fn(Phone $phone): bool => $phone->manner->on,
                                ),
                            ),
                        ),
                    ),
                    $this->words->list(
                        array_map(
                            static fn(AnsweringRule $rule): string => $rule->name,
                            array_values(
                                array_filter(
                                    $person->reach->rules,
                                    static fn(AnsweringRule $rule): bool => $rule->term->on,
                                ),
                            ),
                        ),
                    ),
                    $this->words->name($person->reach->mailbox),
                ],
                $this->plan->all(Person::class),
            ),
        );
    }

    public function teams(): Table
    {
        return new Table(
            $this->words->head('team', 'pattern', 'members'),
            array_map(
                fn(Team $team): array => [
                    $team->name(),
                    $this->words->say('order.' . $team->order->pattern->value),
                    $this->words->list(
                        array_map(
                            fn(TeamMember $member): string => $this->words->target($member->who),
                            array_values(
                                array_filter($team->members, static fn(TeamMember $member): bool => $member->on),
                            ),
                        ),
                    ),
                ],
                $this->plan->all(Team::class),
            ),
        );
    }

    public function queues(): Table
    {
        return new Table(
            $this->words->head('queue', 'pattern', 'agents', 'longest-wait', 'promise'),
            array_map(
                fn(Queue $queue): array => [
                    $queue->name(),
                    $this->words->say('order.' . $queue->agents->asking->order->value),
                    $this->words->list(
                        array_map(
                            fn(QueueMember $member): string => $this->words->target(Target::parse($member->who)),
                            array_values(
                                array_filter(
                                    $queue->agents->members,
                                    static fn(QueueMember $member): bool => $member->on,
                                ),
                            ),
                        ),
                    ),
                    $this->words->say('seconds', ['seconds' => $queue->callers->waiting->longestSeconds]),
                    $this->words->say('promise', [
                        'percent' => $queue->callers->promise->percent,
                        'seconds' => $queue->callers->promise->seconds,
                    ]),
                ],
                $this->plan->all(Queue::class),
            ),
        );
    }

    public function mailboxes(): Table
    {
        return new Table(
            $this->words->head('mailbox', 'owners', 'told', 'greeting'),
            array_map(
                fn(Mailbox $mailbox): array => [
                    $mailbox->name(),
                    $this->words->list(array_map(fn(string $id): string => $this->words->name($id), $mailbox->owners)),
                    $this->words->list($mailbox->messages->notify),
                    null === $mailbox->greetings->usual
                        ? PaperWords::NONE
                        : $this->words->script($mailbox->greetings->usual),
                ],
                $this->plan->all(Mailbox::class),
            ),
        );
    }
}
