<?php

declare(strict_types=1);

namespace Meandros\Core\People;

/** The phones that a file gives somebody. */
final readonly class RowPhones
{
    /**
     * @param list<string> $desk    what the desk phones are called
     * @param list<string> $soft    what the soft phones are called
     * @param list<string> $outside numbers, each perhaps after what the phone is called: "Mobile +447700900105"
     */
    public function __construct(public array $desk, public array $soft, public array $outside) {}

    public function count(): int
    {
        return \count($this->desk) + \count($this->soft) + \count($this->outside);
    }
}
