<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\PhoneManner;
use Meandros\Core\Plan\Element\PhoneType;
use Meandros\Core\Value\Copied;

/** A phone as the ringing sees it, with whose it is. */
final readonly class RingPhone
{
    use Copied;

    /** @param OutsidePhone|null $outside what is known of phones outside */
    public function __construct(
        public string $id,
        public Owner $owner,
        public string $label,
        public PhoneType $type,
        public RingManner $manner,
        public ?OutsidePhone $outside,
    ) {}

    /** Whether its own mailbox may take calls: not where whoever picks up is asked for a key. */
    public function mayLoseCalls(): bool
    {
        return null !== $this->outside?->mailbox && !$this->manner->askFirst;
    }

    /** The same phone, kept from ringing. */
    public function keptBy(string $outcome): self
    {
        return $this->with(manner: $this->manner->keptBy($outcome));
    }

    /** The same phone, answering by itself; phones outside do not. */
    public function answeringByItself(): self
    {
        return null !== $this->outside ? $this : $this->with(manner: $this->manner->answeringByItself());
    }

    /**
     * @param bool $askFirst whether to ask on it, also where it would not by itself
     * @param bool $isMobile whether its number is one of a mobile
     */
    public static function of(Person $person, Phone $phone, bool $askFirst, bool $isMobile): self
    {
        return new self(
            $person->id() . '/' . $phone->id,
            new Owner($person->id(), $person->site, $person->reach->refusesForAll),
            $phone->label,
            $phone->type,
            new RingManner(
                $askFirst || $phone->manner->askFirst,
                $phone->manner->calls ?? ($isMobile ? PhoneManner::CALLS_OF_A_MOBILE : 1),
                kept: $phone->manner->on ? null : Rung::OFF,
            ),
            null === $phone->outside ? null : OutsidePhone::of($phone->outside, $phone->manner->confirm, $isMobile),
        );
    }

    /**
     * A number that belongs to nobody in the plan.
     *
     * @param string|null $site from which the call leaves
     */
    public static function number(string $number, bool $askFirst, ?string $site, bool $isMobile): self
    {
        return new self(
            $number,
            new Owner(site: $site),
            $number,
            PhoneType::Outside,
            new RingManner($askFirst, $isMobile ? PhoneManner::CALLS_OF_A_MOBILE : 1),
            OutsidePhone::unknown($number, $isMobile),
        );
    }

    /** Seconds from when somebody picks it up until they have the call: digits are sent, then they may be asked. */
    public function connectSeconds(): int
    {
        return ($this->outside?->digitSeconds() ?? 0) + ($this->manner->askFirst ? Fate::ASK_SECONDS : 0);
    }

    /** @return non-empty-list<string> the names that an assumption may call it by, the most particular first */
    public function names(): array
    {
        return null === $this->owner->person ? [$this->id] : [$this->id, $this->owner->person];
    }
}
