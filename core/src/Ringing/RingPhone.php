<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\PhoneType;

/** A phone as the ringing sees it, with whose it is. */
final readonly class RingPhone
{
    /**
     * @param string|null $number E.164, of phones outside
     * @param string|null $site   of its owner
     * @param string      $digits sent once it is picked up
     * @param string|null $shows  the number of ours that it shows, by id; null for the caller's
     * @param int         $calls  how many it takes at the same time
     * @param string|null $kept   an outcome, when something keeps it from ringing
     */
    public function __construct(
        public string $id,
        public ?string $person,
        public string $label,
        public string $type,
        public bool $askFirst = false,
        public ?int $ownMailbox = null,
        public ?string $number = null,
        public ?string $site = null,
        public string $digits = '',
        public ?string $shows = null,
        public int $calls = 1,
        public ?string $kept = null,
    ) {
    }

    /** The same phone, kept from ringing. */
    public function keptBy(string $outcome): self
    {
        return new self($this->id, $this->person, $this->label, $this->type, $this->askFirst, $this->ownMailbox, $this->number, $this->site, $this->digits, $this->shows, $this->calls, $this->kept ?? $outcome);
    }

    /**
     * @param bool $askFirst whether to ask on every phone, also on those that would not
     *
     * @return list<self>
     */
    public static function of(Person $person, bool $askFirst = false): array
    {
        [$id, $phones] = [$person->id(), []];
        foreach ($person->phones as $phone) {
            $phones[] = new self(
                $id.'/'.$phone->id,
                $id,
                $phone->label,
                $phone->type->value,
                $askFirst || $phone->askFirst,
                $phone->ownMailbox,
                $phone->number,
                $person->site,
                $phone->digits,
                $phone->shows,
                $phone->calls,
                $phone->on ? null : Rung::OFF,
            );
        }

        return $phones;
    }

    /** @param string|null $site from which the call leaves, where it is somebody's forward */
    public static function outside(string $number, bool $askFirst = false, ?string $site = null): self
    {
        return new self($number, null, $number, PhoneType::Outside->value, $askFirst, number: $number, site: $site);
    }

    /** Seconds that pass between picking up and being connected, while digits are sent (a comma is one: common practice). */
    public function digitSeconds(): int
    {
        return substr_count($this->digits, ',');
    }

    /** @return non-empty-list<string> the names that an assumption may call it by, the most particular first */
    public function names(): array
    {
        return null === $this->person ? [$this->id] : [$this->id, $this->person];
    }
}
