<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Reading\Input;

/** A phone of a person: at the desk, in software, or outside (a mobile, a landline). */
final readonly class Phone
{
    /** Seconds between dialling and the first ring, and calls at the same time, where nothing else is said (common practice). */
    public const SET_UP_OF_A_MOBILE = 3;
    public const SET_UP_OF_A_LANDLINE = 2;
    public const CALLS_OF_A_MOBILE = 2;
    /** Seconds for which whoever picks up is asked (common practice). */
    public const CONFIRM = 10;

    private const OUTSIDE_ONLY = ['number', 'ownMailbox', 'mailboxWhenBusy', 'setUp', 'digits', 'shows'];

    /**
     * @param string|null $number          E.164, for outside phones only
     * @param bool        $on              a phone that is off does not ring, and is kept
     * @param bool        $askFirst        whoever picks up presses 1 to take the call: a mailbox does not
     * @param int|null    $ownMailbox      seconds of ringing after which the phone's own mailbox answers; null where it has none. Outside phones only
     * @param string      $digits          sent once it is picked up, a comma being a second's pause (common practice). Outside phones only
     * @param string|null $shows           the number of ours that it shows; null for the caller's. Outside phones only
     * @param int|null    $calls           how many it takes at the same time; null, for outside phones only: two for mobiles, else one
     * @param bool|null   $mailboxWhenBusy whether its own mailbox also takes calls that are declined or come while it is busy; null: if it is a mobile
     * @param int|null    $setUp           seconds between dialling and the first ring; null: three for mobiles, else two
     * @param int         $confirm         seconds for which whoever picks up is asked, if asked first
     */
    public function __construct(
        public string $id,
        public PhoneType $type,
        public string $label,
        public ?string $number = null,
        public bool $on = true,
        public bool $askFirst = false,
        public ?int $ownMailbox = null,
        public string $digits = '',
        public ?string $shows = null,
        public ?int $calls = null,
        public ?bool $mailboxWhenBusy = null,
        public ?int $setUp = null,
        public int $confirm = self::CONFIRM,
    ) {}

    public static function fromJson(Input $in): self
    {
        $in->onlyFields([
            'id',
            'type',
            'label',
            'number',
            'on',
            'askFirst',
            'ownMailbox',
            'digits',
            'shows',
            'calls',
            'mailboxWhenBusy',
            'setUp',
            'confirm',
        ]);
        /** @var PhoneType $type */
        $type = $in->field('type')->oneOf(PhoneType::class, PhoneType::Desk);
        $outside = PhoneType::Outside === $type;
        foreach ($outside ? [] : self::OUTSIDE_ONLY as $field) {
            if ($in->field($field)->isGiven()) {
                $in->field($field)->complain('outside-phones-only', ['field' => $field]);
            }
        }
        $digits = $outside ? $in->field('digits')->optionalExactText(40) : '';
        if (1 !== preg_match('/^[0-9*#,]*$/D', $digits)) {
            $in->field('digits')->complain('digits-not-sent', ['digits' => Input::quote($digits)]);
        }

        return new self(
            $in->field('id')->id(),
            $type,
            $in->field('label')->text(),
            $outside ? PhoneNumber::readE164($in->field('number')) : null,
            $in->field('on')->flag(true),
            $in->field('askFirst')->flag(false),
            $outside ? $in->field('ownMailbox')->optionalWhole(0, 120, 'seconds') : null,
            $digits,
            $in->field('shows')->reference(),
            $in->field('calls')->optionalWhole(1, 20, 'calls') ?? ($outside ? null : 1),
            $outside ? $in->field('mailboxWhenBusy')->optionalFlag() : null,
            $outside ? $in->field('setUp')->optionalWhole(0, 30, 'seconds') : null,
            $in->field('confirm')->whole(5, 60, 'seconds', self::CONFIRM),
        );
    }

    /** The same phone under another id. */
    public function called(string $id): self
    {
        return new self(
            $id,
            $this->type,
            $this->label,
            $this->number,
            $this->on,
            $this->askFirst,
            $this->ownMailbox,
            $this->digits,
            $this->shows,
            $this->calls,
            $this->mailboxWhenBusy,
            $this->setUp,
            $this->confirm,
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        $json = ['id' => $this->id, 'type' => $this->type->value, 'label' => $this->label];
        if (null !== $this->number) {
            $json['number'] = $this->number;
        }
        $json += [
            'on' => $this->on,
            'askFirst' => $this->askFirst,
            'confirm' => $this->confirm,
            'calls' => $this->calls ?? (PhoneType::Outside === $this->type ? null : 1),
        ];

        return $json +
            (PhoneType::Outside === $this->type
                ? [
                    'ownMailbox' => $this->ownMailbox,
                    'mailboxWhenBusy' => $this->mailboxWhenBusy,
                    'setUp' => $this->setUp,
                    'digits' => $this->digits,
                    'shows' => $this->shows,
                ]
                : []);
    }
}
