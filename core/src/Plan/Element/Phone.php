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
     */
    public function __construct(
        public string $id,
        public PhoneType $type,
        public string $label,
        public ?string $number = null,
        public bool $on = true,
        public bool $askFirst = false,
        public ?int $ownMailbox = null,
    ) {
    }

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['id', 'type', 'label', 'number', 'on', 'askFirst', 'ownMailbox']);
        /** @var PhoneType $type */
        $type = $in->field('type')->oneOf(PhoneType::class, PhoneType::Desk);
        $outside = PhoneType::Outside === $type;
        $mailbox = $in->field('ownMailbox');
        foreach ($outside ? [] : ['number' => 'a number', 'ownMailbox' => 'a mailbox'] as $field => $words) {
            if ($in->field($field)->isGiven()) {
                $in->field($field)->complain(\sprintf('Only outside phones have %s of their own.', $words), 'Remove it, or make this an outside phone.');
            }
        }

        return new self(
            $in->field('id')->id(),
            $type,
            $in->field('label')->text(),
            $outside ? PhoneNumber::readE164($in->field('number')) : null,
            $in->field('on')->flag(true),
            $in->field('askFirst')->flag(false),
            $outside && $mailbox->isGiven() ? $mailbox->whole(0, 120, 'seconds') : null,
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

        return PhoneType::Outside === $this->type ? $json + ['ownMailbox' => $this->ownMailbox] : $json;
    }
}
