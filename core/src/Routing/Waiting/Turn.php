<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Waiting;

use Meandros\Core\Plan\Element\AgentOrder;

/** Why an agent is asked, and not another. */
final readonly class Turn
{
    /**
     * @param int  $free     agents who could be asked
     * @param int  $tier     of the one who is
     * @param int  $figure   that the order looks at: seconds idle, calls or seconds of talking today
     * @param bool $byItself whether their phone answers by itself
     */
    public function __construct(
        public AgentOrder $order,
        public int $free,
        public int $tier,
        public int $figure,
        public bool $byItself,
    ) {}

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'order' => $this->order->value,
            'free' => $this->free,
            'tier' => $this->tier,
            'figure' => $this->figure,
            'byItself' => $this->byItself,
        ];
    }
}
