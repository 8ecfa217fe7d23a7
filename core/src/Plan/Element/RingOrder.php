<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** In which order, and how long, the members of a team ring. */
final readonly class RingOrder
{
    /**
     * @param int $memberSeconds how long each rings where they ring one after the other
     * @param int $widenSeconds  after how long the next tier joins where the team widens
     */
    public function __construct(
        public RingPattern $pattern = RingPattern::AllAtOnce,
        public int $memberSeconds = 15,
        public int $widenSeconds = 10,
    ) {}

    /** @param Input $in the team */
    public static function fromJson(Input $in): self
    {
        $usual = new self();
        /** @var RingPattern $pattern */
        $pattern = $in->field('pattern')->oneOf(RingPattern::class, $usual->pattern);

        return new self(
            $pattern,
            $in->field('memberSeconds')->whole(1, 300, 'seconds', $usual->memberSeconds),
            $in->field('widenSeconds')->whole(1, 300, 'seconds', $usual->widenSeconds),
        );
    }

    /** Seconds after which a member begins to ring where all ring at once, or the team widens. */
    public function joinsAfter(TeamMember $member): int
    {
        return RingPattern::Widening === $this->pattern ? ($member->tier - 1) * $this->widenSeconds : 0;
    }
}
