<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\PhoneType;

/** A phone as the ringing sees it, with whose it is. */
final readonly class RingPhone
{
    public function __construct(
        public string $id,
        public ?string $person,
        public string $label,
        public string $type,
        public bool $on = true,
        public bool $askFirst = false,
        public ?int $ownMailbox = null,
        public bool $available = true,
    ) {
    }

    /** The same phone, of somebody who is not to be rung now. */
    public function silenced(): self
    {
        return new self($this->id, $this->person, $this->label, $this->type, $this->on, $this->askFirst, $this->ownMailbox, false);
    }

    /**
     * @param bool $askFirst whether to ask on every phone, also on those that would not
     *
     * @return list<self>
     */
    public static function of(Person $person, bool $askFirst = false): array
    {
        return array_map(
            static fn (Phone $phone): self => new self($person->id().'/'.$phone->id, $person->id(), $phone->label, $phone->type->value, $phone->on, $askFirst || $phone->askFirst, $phone->ownMailbox),
            $person->phones,
        );
    }

    public static function outside(string $number, bool $askFirst = false): self
    {
        return new self($number, null, $number, PhoneType::Outside->value, askFirst: $askFirst);
    }

    /** The phone's id within its person. */
    public function key(): string
    {
        return explode('/', $this->id, 2)[1] ?? $this->id;
    }

    /** @return non-empty-list<string> the names that an assumption may call it by, the most particular first */
    public function names(): array
    {
        return null === $this->person ? [$this->id] : [$this->id, $this->person];
    }
}
