<?php

declare(strict_types=1);

namespace Meandros\Core\Queueing;

/** What somebody is busy with as an agent, in all of their queues together. */
final class Occupation
{
    /** @var list<int> seconds at which calls end that they have at the same time */
    private array $ends = [];
    private int $missed = 0;

    /**
     * @param int|null $freeAt    second from which on they can be asked; null for never
     * @param int      $idleSince second at which their last call, or its pause, was over; before the call: negative
     */
    public function __construct(
        public ?int $freeAt,
        public int $idleSince,
        public int $calls = 0,
        public int $talk = 0,
    ) {}

    /** @param int $atOnce calls that they have at the same time */
    public function take(int $second, int $handling, int $notes, int $atOnce): void
    {
        $this->missed = 0;
        ++$this->calls;
        $this->talk += $handling;
        $end = $second + $handling + $notes;
        $this->freeAt = $end;
        if ($atOnce > 1) {
            $this->ends = [...array_filter($this->ends, static fn(int $earlier): bool => $earlier > $second), $end];
            $this->freeAt = \count($this->ends) < $atOnce ? $second : min($this->ends);
        }
        $this->idleSince = max($this->idleSince, $end);
    }

    /** @return int calls missed one after the other */
    public function miss(int $second, int $pause): int
    {
        $this->freeAt = $second + $pause;

        return ++$this->missed;
    }
}
