<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** The caller is let into a queue, or is not. */
final readonly class QueueEntered implements QueueHappening
{
    /**
     * @param string|null $queue    null where none is chosen
     * @param string|null $exit     by which the call goes on where it is not let in
     * @param int         $ahead    callers who wait already
     * @param int         $signedIn agents
     * @param int|null    $expected seconds of waiting; null where nobody is signed in
     * @param int         $handling seconds that a call takes on average
     */
    public function __construct(
        public ?string $queue,
        public ?string $exit = null,
        public int $ahead = 0,
        public int $signedIn = 0,
        public ?int $expected = null,
        public int $handling = 0,
    ) {}

    public function kind(): string
    {
        return null === $this->exit && null !== $this->queue ? 'let in' : 'not let in';
    }

    public function what(): array
    {
        return ['queue' => $this->queue, 'exit' => $this->exit, 'ahead' => $this->ahead];
    }

    public function because(): array
    {
        return ['signedIn' => $this->signedIn, 'expected' => $this->expected, 'handling' => $this->handling];
    }

    public function noticed(): array
    {
        return ['exit' => $this->exit];
    }
}
