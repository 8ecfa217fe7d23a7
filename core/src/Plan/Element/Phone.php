<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;
use Meandros\Core\Value\Copied;

/** A phone of a person: at the desk, in software, or outside (a mobile, a landline). */
final readonly class Phone
{
    use Copied;

    /** Seconds between dialling and the first ring, and calls at the same time, where nothing else is said (common practice). */
    public const SET_UP_OF_A_MOBILE = 3;
    public const SET_UP_OF_A_LANDLINE = 2;
    public const CALLS_OF_A_MOBILE = 2;
    /** Seconds for which whoever picks up is asked (common practice). */
    public const CONFIRM = 10;

    /**
     * @param PhoneOutside|null $outside  for phones outside only
     * @param bool              $on       a phone that is off does not ring, and is kept
     * @param int|null          $calls    how many it takes at the same time; null, for outside phones only: two for mobiles, else one
     * @param bool              $askFirst whoever picks up presses 1 to take the call: a mailbox does not
     * @param int               $confirm  seconds for which whoever picks up is asked, if asked first
     */
    public function __construct(
        public string $id,
        public PhoneType $type,
        public string $label,
        public ?PhoneOutside $outside = null,
        public bool $on = true,
        public ?int $calls = null,
        public bool $askFirst = false,
        public int $confirm = self::CONFIRM,
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
            $in->field('on')->flag(true),
            $in->field('calls')->optionalWhole(1, 20, 'calls') ?? ($isOutside ? null : 1),
            $in->field('askFirst')->flag(false),
            $in->field('confirm')->whole(5, 60, 'seconds', self::CONFIRM),
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
            'on' => $this->on,
            'askFirst' => $this->askFirst,
            'confirm' => $this->confirm,
            'calls' => $this->calls ?? (null === $this->outside ? 1 : null),
        ];

        return $json + ($this->outside?->toJson() ?? []);
    }
}
