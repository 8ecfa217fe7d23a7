<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Reading\Input;

/** What is said of a phone outside: how it is dialled, and what it does by itself. */
final readonly class PhoneOutside
{
    public const FIELDS = ['number', 'ownMailbox', 'mailboxWhenBusy', 'setUp', 'digits', 'shows'];

    /**
     * @param string      $number          E.164; empty where it is not known yet
     * @param int|null    $ownMailbox      seconds of ringing after which the phone's own mailbox answers; null where it has none
     * @param bool|null   $mailboxWhenBusy whether its own mailbox also takes calls that are declined or come while it is busy; null: if it is a mobile
     * @param int|null    $setUp           seconds between dialling and the first ring; null: three for mobiles, else two
     * @param string      $digits          sent once it is picked up, a comma being a second's pause (common practice)
     * @param string|null $shows           the number of ours that it shows; null for the caller's
     */
    public function __construct(
        public string $number,
        public ?int $ownMailbox = null,
        public ?bool $mailboxWhenBusy = null,
        public ?int $setUp = null,
        public string $digits = '',
        public ?string $shows = null,
    ) {}

    /** @param Input $in the whole phone */
    public static function fromJson(Input $in): self
    {
        $digits = $in->field('digits')->optionalExactText(40);
        if (1 !== preg_match('/^[0-9*#,]*$/D', $digits)) {
            $in->field('digits')->complain('digits-not-sent', ['digits' => Input::quote($digits)]);
        }

        return new self(
            PhoneNumber::readE164($in->field('number')),
            $in->field('ownMailbox')->optionalWhole(0, 120, 'seconds'),
            $in->field('mailboxWhenBusy')->optionalFlag(),
            $in->field('setUp')->optionalWhole(0, 30, 'seconds'),
            $digits,
            $in->field('shows')->reference(),
        );
    }

    /** @return array{ownMailbox: int|null, mailboxWhenBusy: bool|null, setUp: int|null, digits: string, shows: string|null} but for the number */
    public function toJson(): array
    {
        return [
            'ownMailbox' => $this->ownMailbox,
            'mailboxWhenBusy' => $this->mailboxWhenBusy,
            'setUp' => $this->setUp,
            'digits' => $this->digits,
            'shows' => $this->shows,
        ];
    }
}
