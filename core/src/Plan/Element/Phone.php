<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;
use Meandros\Core\Value\Copied;

/** A phone of a person: at the desk, in software, or outside (a mobile, a landline). */
final readonly class Phone
{
    use Copied;

    /** Seconds between dialling and the first ring where nothing else is said (common practice). */
    public const SET_UP_OF_A_MOBILE = 3;
    public const SET_UP_OF_A_LANDLINE = 2;

    /** @param PhoneOutside|null $outside for phones outside only */
    public function __construct(
        public string $id,
        public PhoneType $type,
        public string $label,
        public ?PhoneOutside $outside = null,
        public PhoneManner $manner = new PhoneManner(),
    ) {}

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['id', 'type', 'label', 'on', 'calls', 'askFirst', 'confirm', ...PhoneOutside::FIELDS]);
        /** @var PhoneType $type */
        $type = $in->field('type')->oneOf(PhoneType::class, PhoneType::Desk);
        $isOutside = PhoneType::Outside === $type;
        foreach ($isOutside ? [] : PhoneOutside::FIELDS as $field) {
            if ($in->field($field)->isGiven()) {
                $in->field($field)->complain('outside-phones-only', ['field' => $field]);
            }
        }

        return new self(
            $in->field('id')->id(),
            $type,
            $in->field('label')->text(),
            $isOutside ? PhoneOutside::fromJson($in) : null,
            PhoneManner::fromJson($in, $type),
        );
    }

    /** The same phone under another id. */
    public function called(string $id): self
    {
        return $this->with(id: $id);
    }

    /** E.164; null for phones inside. */
    public function number(): ?string
    {
        return $this->outside?->number;
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        $json = ['id' => $this->id, 'type' => $this->type->value, 'label' => $this->label];
        if (null !== $this->outside) {
            $json['number'] = $this->outside->number;
        }
        $json += [
            'on' => $this->manner->on,
            'askFirst' => $this->manner->askFirst,
            'confirm' => $this->manner->confirm,
            'calls' => $this->manner->calls ?? (null === $this->outside ? 1 : null),
        ];

        return $json + ($this->outside?->toJson() ?? []);
    }
}
