<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Call\SignIn;

/** Somebody dials the code that signs them in to a queue or out. The trace tells; it changes nothing. */
final readonly class SignedByCode implements QueueHappening
{
    /** @param string|null $who the agent whose extension it is dialled from; null for anybody else */
    public function __construct(
        public string $queue,
        public string $code,
        public SignIn $signIn,
        public ?string $who,
    ) {}

    public function kind(): string
    {
        return 'code dialled';
    }

    public function what(): array
    {
        return ['queue' => $this->queue, 'signIn' => $this->signIn->value, 'who' => $this->who];
    }

    public function because(): array
    {
        return ['code' => $this->code];
    }

    public function noticed(): array
    {
        return $this->what() + $this->because();
    }
}
