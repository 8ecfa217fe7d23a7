<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\EmailAddress;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Where messages are left: who owns it, who is told, and what callers hear first. */
final readonly class Mailbox implements TakesCalls
{
    use Named;
    use WithoutParts;

    /**
     * @param list<string> $owners people's ids
     * @param list<string> $notify e-mail addresses
     */
    public function __construct(
        private string $id,
        private string $name,
        public array $owners,
        public array $notify,
        public ?string $greeting,
        public int $longestSeconds = 180,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'kind', 'name', 'owners', 'notify', 'greeting', 'longestSeconds']);
        $owners = array_map(
            static fn(Input $item): string => $item->text(80),
            $in->field('owners')->items(Limits::OWNERS),
        );

        return new self(
            $in->field('id')->id(),
            $in->field('name')->text(),
            $owners,
            EmailAddress::list($in->field('notify'), Limits::NOTIFY),
            $in->field('greeting')->reference(),
            $in->field('longestSeconds')->whole(10, 600, 'seconds', 180),
        );
    }

    public function directSteps(): StepList
    {
        return new StepList([new MessageStep('message', $this->id)]);
    }

    public function kind(): Kind
    {
        return Kind::Mailbox;
    }

    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'kind' => 'mailbox',
            'name' => $this->name,
            'owners' => $this->owners,
            'notify' => $this->notify,
            'greeting' => $this->greeting,
            'longestSeconds' => $this->longestSeconds,
        ];
    }

    public function references(): array
    {
        $references = [];
        foreach ($this->owners as $i => $owner) {
            $references[] = new Reference($owner, '/owners/' . $i, [Kind::Person], 'is owned by them');
        }
        if (null !== $this->greeting) {
            $references[] = new Reference($this->greeting, '/greeting', [Kind::Prompt], 'greets with it');
        }

        return $references;
    }
}
