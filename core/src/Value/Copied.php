<?php

declare(strict_types=1);

namespace Meandros\Core\Value;

/** A value whose constructor takes all of its properties, copied with some of them changed. */
trait Copied
{
    /** The same, but for the properties that are named. */
    private function with(mixed ...$changes): self
    {
        return (new \ReflectionClass($this))->newInstanceArgs([...get_object_vars($this), ...$changes]);
    }
}
