<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\PhoneManner;
use Meandros\Core\Plan\Element\PhoneOutside;

/** What matters when a phone outside is dialled. */
final readonly class OutsidePhone
{
    /**
     * @param string      $number  E.164
     * @param int         $setUp   seconds between dialling and the first ring
     * @param int         $confirm seconds for which whoever picks up is asked to press 1
     * @param string      $digits  sent once it is picked up
     * @param string|null $shows   the number of ours that it shows, by id; null for the caller's
     */
    private function __construct(
        public string $number,
        public int $setUp,
        public ?OwnMailbox $mailbox = null,
        public int $confirm = PhoneManner::CONFIRM,
        public string $digits = '',
        public ?string $shows = null,
    ) {}

    public static function of(PhoneOutside $phone, int $confirm, bool $isMobile): self
    {
        return new self(
            $phone->number,
            $phone->setUp ?? self::usualSetUp($isMobile),
            null === $phone->ownMailbox
                ? null
                : new OwnMailbox($phone->ownMailbox, $phone->mailboxWhenBusy ?? $isMobile),
            $confirm,
            $phone->digits,
            $phone->shows,
        );
    }

    public static function unknown(string $number, bool $isMobile): self
    {
        return new self($number, self::usualSetUp($isMobile));
    }

    private static function usualSetUp(bool $isMobile): int
    {
        return $isMobile ? Phone::SET_UP_OF_A_MOBILE : Phone::SET_UP_OF_A_LANDLINE;
    }

    /** Seconds that pass between picking up and being connected, while digits are sent (a comma is one: common practice). */
    public function digitSeconds(): int
    {
        return substr_count($this->digits, ',');
    }
}
