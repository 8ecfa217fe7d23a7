<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Somebody who may take calls of a queue. */
final readonly class QueueMember
{
    public const MOST_TIERS = 9;
    public const MOST_CALLS = 9;

    /**
     * @param string $who   a person's id
     * @param int    $tier  1 is asked first
     * @param bool   $on    members that are off are not asked, and keep their place
     * @param int    $calls of queues that they have at the same time
     */
    public function __construct(public string $who, public int $tier, public bool $on = true, public int $calls = 1) {}

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['who', 'tier', 'on', 'calls']);

        return new self(
            $in->field('who')->text(Limits::ID),
            $in->field('tier')->whole(1, self::MOST_TIERS, 'the tier', 1),
            $in->field('on')->flag(true),
            $in->field('calls')->whole(1, self::MOST_CALLS, 'calls', 1),
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['who' => $this->who, 'tier' => $this->tier, 'on' => $this->on, 'calls' => $this->calls];
    }
}
