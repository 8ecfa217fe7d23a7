<?php

declare(strict_types=1);

namespace Meandros\Core\Value;

/**
 * A small value of which thousands are handed from one process to the other: what PHP reads back by itself takes more than
 * twice the memory, as each object gets a table of its properties beside them.
 */
trait Handed
{
    /** @return array<mixed> by property */
    public function __serialize(): array
    {
        return get_object_vars($this);
    }

    /** @param array<string, mixed> $data */
    public function __unserialize(array $data): void
    {
        foreach ($data as $property => $value) {
            $this->{$property} = $value;
        }
    }
}
