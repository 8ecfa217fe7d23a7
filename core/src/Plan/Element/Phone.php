<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Json\Input;

/** A phone of a person: at the desk, in software, or outside (a mobile, a landline). */
final readonly class Phone
{
    /** @param string|null $number E.164, for outside phones only */
    public function __construct(public string $id, public PhoneType $type, public string $label, public ?string $number = null)
    {
    }

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['id', 'type', 'label', 'number']);
        /** @var PhoneType $type */
        $type = $in->field('type')->oneOf(PhoneType::class, PhoneType::Desk);
        $number = null;
        if (PhoneType::Outside === $type) {
            $number = PhoneNumber::readE164($in->field('number'));
        } elseif ($in->field('number')->isGiven()) {
            $in->field('number')->complain('Only outside phones have a number of their own.', 'Remove it, or make this an outside phone.');
        }

        return new self($in->field('id')->id(), $type, $in->field('label')->text(), $number);
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        $json = ['id' => $this->id, 'type' => $this->type->value, 'label' => $this->label];

        return null === $this->number ? $json : $json + ['number' => $this->number];
    }
}
