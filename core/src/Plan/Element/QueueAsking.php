<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** How a queue asks its agents: whom first, for how long, and when others join. */
final readonly class QueueAsking
{
    public const MOST_ALERT_SECONDS = 300;

    /**
     * @param int  $alertSeconds  for which an agent's phones ring
     * @param int  $widenSeconds  of waiting after which the next tier joins
     * @param bool $spillsOver    whether the next tier is asked at once while everybody before it is busy
     * @param int  $notesSeconds  after a call in which an agent is not asked
     * @param int  $missedSeconds the same, after a call that they did not take
     */
    public function __construct(
        public AgentOrder $order = AgentOrder::LongestIdle,
        public int $alertSeconds = 15,
        public int $widenSeconds = 30,
        public bool $spillsOver = true,
        public int $notesSeconds = 10,
        public int $missedSeconds = 10,
    ) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['order', 'alertSeconds', 'widenSeconds', 'spillsOver', 'notesSeconds', 'missedSeconds']);
        $usual = new self();
        /** @var AgentOrder $order */
        $order = $in->field('order')->oneOf(AgentOrder::class, $usual->order);

        return new self(
            $order,
            $in->field('alertSeconds')->whole(1, self::MOST_ALERT_SECONDS, 'seconds', $usual->alertSeconds),
            $in->field('widenSeconds')->whole(1, 3600, 'seconds', $usual->widenSeconds),
            $in->field('spillsOver')->flag($usual->spillsOver),
            $in->field('notesSeconds')->whole(0, 3600, 'seconds', $usual->notesSeconds),
            $in->field('missedSeconds')->whole(1, 3600, 'seconds', $usual->missedSeconds),
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'order' => $this->order->value,
            'alertSeconds' => $this->alertSeconds,
            'widenSeconds' => $this->widenSeconds,
            'spillsOver' => $this->spillsOver,
            'notesSeconds' => $this->notesSeconds,
            'missedSeconds' => $this->missedSeconds,
        ];
    }
}
