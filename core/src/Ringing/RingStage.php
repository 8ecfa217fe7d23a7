<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Phones, and perhaps a team in its own pattern, that ring together from a second on. */
final readonly class RingStage
{
    /**
     * @param int              $after   seconds after its member begins to ring
     * @param int|null         $seconds how long it rings; null for as long as its member does
     * @param list<RingPhone>  $phones
     * @param list<RingMember> $team
     * @param Pattern|null     $pattern of the team, where one rings in it
     */
    public function __construct(
        public int $after,
        public ?int $seconds,
        public array $phones,
        public array $team = [],
        public ?Pattern $pattern = null,
    ) {}

    /** @param \Closure(RingPhone): RingPhone $change */
    public function with(\Closure $change): self
    {
        return new self($this->after, $this->seconds, array_map($change, $this->phones), $this->team, $this->pattern);
    }
}
