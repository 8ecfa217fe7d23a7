<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Json\Input;

/** A phone of a person: at the desk, in software, or outside (a mobile, a landline). */
final readonly class Phone
{
    /**
     * @param string|null $number     E.164, for outside phones only
     * @param bool        $on         a phone that is off does not ring, and is kept
     * @param bool        $askFirst   whoever picks up presses 1 to take the call: a mailbox does not
     * @param int|null    $ownMailbox seconds after which the phone's own mailbox answers; null where it has none. Outside phones only
     * @param string      $digits     sent once it is picked up, a comma being a second's pause (common practice). Outside phones only
     * @param string|null $shows      the number of ours that it shows; null for the caller's. Outside phones only
     * @param int         $calls      how many it takes at the same time. Desk and soft phones only
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
        public int $calls = 1,
    ) {
    }

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['id', 'type', 'label', 'number', 'on', 'askFirst', 'ownMailbox', 'digits', 'shows', 'calls']);
        /** @var PhoneType $type */
        $type = $in->field('type')->oneOf(PhoneType::class, PhoneType::Desk);
        $outside = PhoneType::Outside === $type;
        $mailbox = $in->field('ownMailbox');
        foreach ($outside ? [] : ['number' => 'have a number of their own', 'ownMailbox' => 'have a mailbox of their own', 'digits' => 'are sent digits', 'shows' => 'are shown another number'] as $field => $words) {
            if ($in->field($field)->isGiven()) {
                $in->field($field)->complain(\sprintf('Only outside phones %s.', $words), 'Remove it, or make this an outside phone.');
            }
        }
        if ($outside && $in->field('calls')->isGiven()) {
            $in->field('calls')->complain('How many calls an outside phone takes is not known.', 'Remove it.');
        }
        $digits = $in->field('digits')->optionalText(40);
        if (1 !== preg_match('/^[0-9*#,]*$/D', $digits)) {
            $in->field('digits')->complain(\sprintf('"%s" cannot be sent.', $digits), 'Use digits, * and #, and a comma for a second\'s pause.');
        }

        return new self(
            $in->field('id')->id(),
            $type,
            $in->field('label')->text(),
            $outside ? PhoneNumber::readE164($in->field('number')) : null,
            $in->field('on')->flag(true),
            $in->field('askFirst')->flag(false),
            $outside && $mailbox->isGiven() ? $mailbox->whole(0, 120, 'seconds') : null,
            $digits,
            $in->field('shows')->reference(),
            $outside ? 1 : $in->field('calls')->whole(1, 20, 'calls', 1),
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        $json = ['id' => $this->id, 'type' => $this->type->value, 'label' => $this->label];
        if (null !== $this->number) {
            $json['number'] = $this->number;
        }
        $json += ['on' => $this->on, 'askFirst' => $this->askFirst];

        return $json + (PhoneType::Outside === $this->type ? ['ownMailbox' => $this->ownMailbox, 'digits' => $this->digits, 'shows' => $this->shows] : ['calls' => $this->calls]);
    }
}
