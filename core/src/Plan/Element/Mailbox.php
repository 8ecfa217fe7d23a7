<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step\AboutStep;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Where messages are left: who owns it, what callers hear first, how messages are taken, and what keys do. */
final readonly class Mailbox implements TakesCalls
{
    use Named;
    use WithoutParts;

    /** @param list<string> $owners people and teams, by id */
    public function __construct(
        private About $about,
        public array $owners,
        public MailboxGreetings $greetings,
        public MailboxMessages $messages,
        public MailboxKeys $keys,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...About::FIELDS, 'owners', 'keys', ...MailboxGreetings::FIELDS, ...MailboxMessages::FIELDS]);
        $owners = array_map(
            static fn(Input $item): string => $item->text(Limits::ID),
            $in->field('owners')->items(Limits::OWNERS),
        );

        return new self(
            About::fromJson($in),
            $owners,
            MailboxGreetings::fromJson($in),
            MailboxMessages::fromJson($in),
            MailboxKeys::fromJson($in->field('keys')),
        );
    }

    public function directSteps(): StepList
    {
        return new StepList([new MessageStep(new AboutStep('message'), $this->about->id)]);
    }

    public function kind(): Kind
    {
        return Kind::Mailbox;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson($this->kind()),
            'owners' => $this->owners,
            ...$this->greetings->toJson(),
            ...$this->messages->toJson(),
            'keys' => $this->keys->toJson(),
        ];
    }

    public function references(): array
    {
        $references = [];
        foreach ($this->owners as $i => $owner) {
            $references[] = new Reference($owner, '/owners/' . $i, [Kind::Person, Kind::Team], 'is owned by them');
        }

        return [...$references, ...$this->greetings->references(), ...$this->keys->references()];
    }
}
