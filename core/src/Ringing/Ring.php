<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** One phone being rung, from when it is dialled until it is silent: where stretches touch or overlap, it rings on. */
final class Ring
{
    public RingState $state = RingState::Ringing;
    public ?int $askedAt = null;
    /** The second since which it is silent; not set while it rings. */
    public int $end;
    public string $outcome = Rung::NOT_ANSWERED;
    /** @var list<array{int, Group}> for whom it rings, and until when */
    public array $holds = [];

    /**
     * @param int $from  when it is dialled
     * @param int $until first second at which nobody wants it to ring any longer
     * @param int $place in the list of phones
     */
    public function __construct(
        public readonly RingPhone $phone,
        public readonly int $from,
        public int $until,
        public readonly int $place,
        public readonly Fate $fate,
        public Carried $carried,
    ) {}

    /** The second of its first ring. */
    public function ringsFrom(): int
    {
        return $this->from + ($this->phone->outside->setUp ?? 0);
    }

    /** Seconds for which it has rung by then, being asked among them. */
    public function rangUntil(int $second): int
    {
        return max(0, $second - $this->ringsFrom());
    }

    public function fallSilent(int $second, string $outcome): void
    {
        $this->state = RingState::Silent;
        [$this->end, $this->outcome] = [$second, $outcome];
        [$holds, $this->holds] = [$this->holds, []];
        foreach ($holds as [, $group]) {
            $group->close();
        }
    }

    /** Those for whom it rings no longer at a second are told. */
    public function letGo(int $second): void
    {
        $over = array_filter($this->holds, static fn(array $hold): bool => $hold[0] <= $second);
        $this->holds = array_values(array_diff_key($this->holds, $over));
        foreach ($over as [, $group]) {
            $group->close();
        }
    }
}
