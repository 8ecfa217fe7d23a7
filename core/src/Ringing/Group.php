<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Things that ring on behalf of somebody: over when the last of them is. */
final class Group
{
    private int $open = 0;

    /** @param \Closure(): void $whenOver */
    public function __construct(private readonly \Closure $whenOver) {}

    public function open(): void
    {
        ++$this->open;
    }

    public function close(): void
    {
        if (0 === --$this->open) {
            ($this->whenOver)();
        }
    }
}
