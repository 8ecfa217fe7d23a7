<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/** How agents take a call, and what they hear before the caller does. */
final readonly class QueueTaking
{
    /** @param string|null $word a prompt that the agent hears first, such as "Call for Freight"; callers wait meanwhile */
    public function __construct(public PickUp $pickUp = PickUp::ByHand, public ?string $word = null) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['pickUp', 'word']);
        /** @var PickUp $pickUp */
        $pickUp = $in->field('pickUp')->oneOf(PickUp::class, PickUp::ByHand);

        return new self($pickUp, $in->field('word')->reference());
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['pickUp' => $this->pickUp->value, 'word' => $this->word];
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        return null === $this->word
            ? []
            : [
                new Reference(
                    $this->word,
                    $pointer . '/word',
                    [Kind::Prompt],
                    'says it to agents before the caller is through',
                ),
            ];
    }
}
