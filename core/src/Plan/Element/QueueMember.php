<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** Somebody who may take calls of a queue. */
final readonly class QueueMember
{
    public const MOST_TIERS = 9;

    /**
     * @param string $who  a person's id
     * @param int    $tier 1 is asked first
     * @param bool   $on   members that are off are not asked, and keep their place
     */
    public function __construct(public string $who, public int $tier = 1, public bool $on = true)
    {
    }

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['who', 'tier', 'on']);

        return new self($in->field('who')->text(80), $in->field('tier')->whole(1, self::MOST_TIERS, 'the tier', 1), $in->field('on')->flag(true));
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['who' => $this->who, 'tier' => $this->tier, 'on' => $this->on];
    }
}
