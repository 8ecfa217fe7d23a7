<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Plan\Step\RingStep;

/** How ringing ended: who answered, or by which exit the call goes on. Seconds count from when the ringing starts. */
final readonly class RingResult
{
    private const FREE_AGAIN_SOON = [Rung::BUSY, Rung::DO_NOT_DISTURB, Rung::PAUSING, Rung::NO_CHANNEL];

    /**
     * @param list<Rung>  $rung
     * @param string|null $announcedTo the team whose phones answered by themselves
     * @param string|null $exit        null when somebody answered
     * @param bool        $dialled     whether any phone was dialled
     */
    public function __construct(
        public array $rung,
        public ?RingPhone $answeredBy,
        public ?string $announcedTo,
        public ?string $exit,
        public int $seconds,
        public bool $dialled,
    ) {}

    /**
     * By which exit a call goes on that nobody took.
     *
     * @param list<Ring|Rung> $rings what was dialled
     * @param list<Rung>      $rung  that, and what was not
     */
    public static function exit(array $rings, array $rung): string
    {
        $outcomes = [];
        foreach ([] === $rings ? $rung : $rings as $one) {
            $outcomes[$one->outcome] = true;
        }

        return match (true) {
            [] === $rings => [] === array_intersect(array_keys($outcomes), self::FREE_AGAIN_SOON)
                ? RingStep::UNREACHABLE
                : RingStep::BUSY,
            [Rung::REFUSED => true] === $outcomes => RingStep::REFUSED,
            default => RingStep::NOBODY,
        };
    }

    /** Whether what took the call was the own mailbox of a phone. */
    public function byOwnMailbox(): bool
    {
        return null !== $this->answeredBy &&
            [] !== array_filter($this->rung, static fn(Rung $rung): bool => Rung::OWN_MAILBOX === $rung->outcome);
    }
}
