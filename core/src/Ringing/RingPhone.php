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

    /**
     * @param string|null       $person          whose it is
     * @param string|null       $site            of its owner, or where the call came in
     * @param OutsidePhone|null $outside         what is known of phones outside
     * @param int               $calls           how many it takes at the same time
     * @param bool              $refusesForAll   whether refusing on it silences its owner's other phones too
     * @param string|null       $kept            an outcome, when something keeps it from ringing
     * @param bool              $answersByItself in the second in which it is dialled, without anybody touching it
     */
    public function __construct(
        public string $id,
        public ?string $person,
        public string $label,
        public PhoneType $type,
        public bool $askFirst = false,
        public ?string $site = null,
        public ?OutsidePhone $outside = null,
        public int $calls = 1,
        public bool $refusesForAll = false,
        public ?string $kept = null,
        public bool $answersByItself = false,
    ) {}

    /** The same phone, kept from ringing. */
    public function keptBy(string $outcome): self
    {
        return $this->with(kept: $this->kept ?? $outcome);
    }

    /** The same phone, answering by itself; phones outside do not. */
    public function answeringByItself(): self
    {
        return null !== $this->outside ? $this : $this->with(askFirst: false, answersByItself: true);
    }

    /**
     * @param bool $askFirst whether to ask on it, also where it would not by itself
     * @param bool $isMobile whether its number is one of a mobile
     */
    public static function of(Person $person, Phone $phone, bool $askFirst, bool $isMobile): self
    {
        return new self(
            $person->id() . '/' . $phone->id,
            $person->id(),
            $phone->label,
            $phone->type,
            $askFirst || $phone->manner->askFirst,
            $person->site,
            null === $phone->outside ? null : OutsidePhone::of($phone->outside, $phone->manner->confirm, $isMobile),
            $phone->manner->calls ?? ($isMobile ? PhoneManner::CALLS_OF_A_MOBILE : 1),
            $person->reach->refusesForAll,
            $phone->manner->on ? null : Rung::OFF,
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
            null,
            $number,
            PhoneType::Outside,
            $askFirst,
            $site,
            OutsidePhone::unknown($number, $isMobile),
            $isMobile ? PhoneManner::CALLS_OF_A_MOBILE : 1,
        );
    }

    /** @return non-empty-list<string> the names that an assumption may call it by, the most particular first */
    public function names(): array
    {
        return null === $this->person ? [$this->id] : [$this->id, $this->person];
    }
}
