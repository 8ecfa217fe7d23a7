<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** How ringing ended: who answered, or by which exit the call goes on. Seconds count from when the ringing starts. */
final readonly class RingResult
{
    /**
     * @param list<Rung>  $rung
     * @param string|null $announcedTo the team whose phones answered by themselves
     * @param string|null $exit        null when somebody answered
     * @param bool        $dialled     whether any phone was dialled
     */
    public function __construct(public array $rung, public ?RingPhone $answeredBy, public ?string $announcedTo, public ?string $exit, public int $seconds, public bool $dialled)
    {
    }

    /** Whether what took the call was the own mailbox of a phone. */
    public function byOwnMailbox(): bool
    {
        return null !== $this->answeredBy && [] !== array_filter($this->rung, static fn (Rung $rung): bool => Rung::OWN_MAILBOX === $rung->outcome);
    }
}
