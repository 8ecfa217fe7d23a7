<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Call\Assumptions;

/** Phones that are to ring once, and all by which it is settled what becomes of it. */
final readonly class Round
{
    /** How many phones are to ring. */
    public int $phones;
    public bool $somebodyAnswers;

    /**
     * @param list<RingMember>   $members
     * @param int                $seconds    the limit after which the call goes on
     * @param Assumptions        $assumed    what holds as they begin to ring
     * @param array<string, int> $rangBefore seconds for which phones rang earlier in the call; nothing where nobody answers: then it
     *                                       does not count
     * @param array<string, int> $inUse      channels that are taken, by line
     */
    public function __construct(
        public array $members,
        public Pattern $pattern,
        public int $seconds,
        public Assumptions $assumed,
        public array $rangBefore,
        public array $inUse,
    ) {
        $this->phones = RingMember::count($members);
        $this->somebodyAnswers = $assumed->somebodyAnswers();
    }

    /** Equal for rounds in which phones do the same, if they are the same phones. */
    public function key(): string
    {
        $key = $this->seconds . "\n" . $this->assumed->ofPhones();
        foreach ($this->rangBefore as $phone => $seconds) {
            $key .= "\n" . $phone . ' ' . $seconds;
        }

        return $key;
    }

    /** Whether the same phones ring as in another one, in the same way, over as many channels. */
    public function isLike(self $other): bool
    {
        return $this->inUse === $other->inUse && $this->pattern == $other->pattern && $this->members == $other->members;
    }
}
