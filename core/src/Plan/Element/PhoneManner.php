<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** How a phone takes calls. */
final readonly class PhoneManner
{
    /** How many at the same time, where nothing else is said (common practice). */
    public const CALLS_OF_A_MOBILE = 2;
    /** Seconds for which whoever picks up is asked (common practice). */
    public const CONFIRM = 10;

    /**
     * @param bool     $on       a phone that is off does not ring, and is kept
     * @param int|null $calls    how many it takes at the same time; null, for outside phones only: two for mobiles, else one
     * @param bool     $askFirst whoever picks up presses 1 to take the call: a mailbox does not
     * @param int      $confirm  seconds for which whoever picks up is asked, if asked first
     */
    public function __construct(
        public bool $on = true,
        public ?int $calls = null,
        public bool $askFirst = false,
        public int $confirm = self::CONFIRM,
    ) {}

    /** @param Input $in the phone */
    public static function fromJson(Input $in, PhoneType $type): self
    {
        return new self(
            $in->field('on')->flag(true),
            $in->field('calls')->optionalWhole(1, 20, 'calls') ?? (PhoneType::Outside === $type ? null : 1),
            $in->field('askFirst')->flag(false),
            $in->field('confirm')->whole(5, 60, 'seconds', self::CONFIRM),
        );
    }
}
