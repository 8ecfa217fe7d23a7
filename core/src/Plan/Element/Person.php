<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Parts;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Plan\Target;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Copied;

/** Somebody who answers: an extension, phones, and a mailbox of their own if they have one. */
final readonly class Person implements TakesCalls
{
    use Copied;
    use Named;

    public const SHOWS_OWN = 'own';
    public const SHOWS_NOTHING = 'withheld';

    /**
     * @param list<Phone>         $phones
     * @param list<AnsweringRule> $rules         the first that holds decides
     * @param bool                $refusesForAll whether declining on one phone silences all of theirs
     * @param string|null         $shows         what calls of theirs to outside show: their own number, none, or one of the plan by its id; null
     *                                           leaves it to the line
     */
    public function __construct(
        private string $id,
        private string $name,
        public string $extension,
        public string $site,
        public array $phones,
        public ?string $mailbox = null,
        public array $rules = [],
        public bool $refusesForAll = false,
        public Listing $listing = new Listing(),
        public ?string $shows = null,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([
            'id',
            'kind',
            'name',
            'extension',
            'site',
            'phones',
            'refusesForAll',
            'mailbox',
            'rules',
            'listing',
            'shows',
        ]);
        $extension = $in->field('extension')->optionalExactText(10);
        if ('' !== $extension && 1 !== preg_match('/^[0-9]{2,6}$/D', $extension)) {
            $in->field('extension')->complain('not-an-extension');
        }
        $phones = [];
        foreach ($in->field('phones')->items(Limits::PHONES) as $item) {
            $phone = Phone::fromJson($item);
            if (isset($phones[$phone->id])) {
                $item->field('id')->complain('phone-id-twice');
            }
            if (
                null !== $phone->number() &&
                '' !== $phone->number() &&
                \in_array($phone->number(), array_map(static fn(Phone $one): ?string => $one->number(), $phones), true)
            ) {
                $item->field('number')->complain('phone-number-twice');
            }
            $phones[$phone->id] = $phone;
        }

        $rules = [];
        foreach ($in->field('rules')->items(Limits::RULES) as $item) {
            $rule = AnsweringRule::fromJson(
                $item,
                array_map(static fn(Phone $phone): string => $phone->id, array_values($phones)),
            );
            if (isset($rules[$rule->id])) {
                $item->field('id')->complain('rule-id-twice');
            }
            $rules[$rule->id] = $rule;
        }

        return new self(
            $in->field('id')->id(),
            $in->field('name')->text(),
            $extension,
            $in->field('site')->text(80),
            array_values($phones),
            $in->field('mailbox')->reference(),
            array_values($rules),
            $in->field('refusesForAll')->flag(false),
            Listing::fromJson($in->field('listing')),
            $in->field('shows')->reference(),
        );
    }

    /** @param list<AnsweringRule> $rules */
    public function withRules(array $rules): self
    {
        return $this->with(rules: $rules);
    }

    public function parts(): Parts
    {
        return new Parts('/phones', 'phone', array_map(static fn(Phone $phone): string => $phone->id, $this->phones));
    }

    public function phone(string $id): ?Phone
    {
        foreach ($this->phones as $phone) {
            if ($phone->id === $id) {
                return $phone;
            }
        }

        return null;
    }

    public function directSteps(): StepList
    {
        $mailbox = null === $this->mailbox ? [] : [new MessageStep('message', $this->mailbox)];

        return new StepList([
            new RingStep('ring', Target::element($this->id), RingStep::DIRECT_SECONDS, handOver: [] !== $this->rules),
            ...$mailbox,
        ]);
    }

    public function kind(): Kind
    {
        return Kind::Person;
    }

    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'kind' => 'person',
            'name' => $this->name,
            'extension' => $this->extension,
            'site' => $this->site,
            'phones' => array_map(static fn(Phone $phone): array => $phone->toJson(), $this->phones),
            'refusesForAll' => $this->refusesForAll,
            'mailbox' => $this->mailbox,
            'rules' => array_map(static fn(AnsweringRule $rule): array => $rule->toJson(), $this->rules),
            'listing' => $this->listing->toJson(),
            'shows' => $this->shows,
        ];
    }

    public function references(): array
    {
        $references = [new Reference($this->site, '/site', [Kind::Site], 'works there')];
        if (null !== $this->mailbox) {
            $references[] = new Reference($this->mailbox, '/mailbox', [Kind::Mailbox], 'has it as their own');
        }
        if (null !== $this->listing->prompt) {
            $references[] = new Reference($this->listing->prompt, '/listing/prompt', [Kind::Prompt], 'is named by it');
        }
        if (!\in_array($this->shows, [null, self::SHOWS_OWN, self::SHOWS_NOTHING], true)) {
            $references[] = new Reference($this->shows, '/shows', [Kind::Number], 'shows it on calls to outside');
        }
        foreach ($this->phones as $i => $phone) {
            if (null !== $phone->outside?->shows) {
                $references[] = new Reference(
                    $phone->outside->shows,
                    \sprintf('/phones/%d/shows', $i),
                    [Kind::Number],
                    'shows it on a phone outside',
                );
            }
        }

        foreach ($this->rules as $i => $rule) {
            array_push($references, ...$rule->references('/rules/' . $i));
        }

        return $references;
    }
}
