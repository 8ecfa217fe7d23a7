<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Copied;
use Meandros\Core\Value\Lists;

/** How calls reach somebody: their phones, the rules by which those ring, and the mailbox where they do not answer. */
final readonly class ReachedBy
{
    use Copied;

    /**
     * @param list<Phone>         $phones
     * @param list<AnsweringRule> $rules         the first that holds decides
     * @param bool                $refusesForAll whether declining on one phone silences all of theirs
     */
    public function __construct(
        public array $phones = [],
        public ?string $mailbox = null,
        public array $rules = [],
        public bool $refusesForAll = false,
    ) {}

    /** @param Input $in the person */
    public static function fromJson(Input $in): self
    {
        $phones = self::phones($in->field('phones'));
        $rules = [];
        foreach ($in->field('rules')->items(Limits::RULES) as $item) {
            $rule = AnsweringRule::fromJson($item, array_map(static fn(Phone $phone): string => $phone->id, $phones));
            if (isset($rules[$rule->id])) {
                $item->field('id')->complain('rule-id-twice');
            }
            $rules[$rule->id] = $rule;
        }

        return new self(
            $phones,
            $in->field('mailbox')->reference(),
            array_values($rules),
            $in->field('refusesForAll')->flag(false),
        );
    }

    /** @return list<Phone> */
    private static function phones(Input $in): array
    {
        $phones = [];
        foreach ($in->items(Limits::PHONES) as $item) {
            $phone = Phone::fromJson($item);
            if (isset($phones[$phone->id])) {
                $item->field('id')->complain('phone-id-twice');
            }
            if (
                null !== $phone->number() &&
                '' !== $phone->number() &&
                Lists::has(array_map(static fn(Phone $one): ?string => $one->number(), $phones), $phone->number())
            ) {
                $item->field('number')->complain('phone-number-twice');
            }
            $phones[$phone->id] = $phone;
        }

        return array_values($phones);
    }

    /** @param list<AnsweringRule> $rules */
    public function withRules(array $rules): self
    {
        return $this->with(rules: $rules);
    }

    /** The same, with further phones, and with another mailbox where there is none yet. */
    public function and(?string $mailbox, Phone ...$phones): self
    {
        return $this->with(phones: [...$this->phones, ...array_values($phones)], mailbox: $this->mailbox ?? $mailbox);
    }

    /** @return list<Reference> of phones and rules */
    public function references(): array
    {
        $references = [];
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
