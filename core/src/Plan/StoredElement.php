<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

/** An element as it is kept: its JSON, which is read only when the element is wanted. */
final readonly class StoredElement
{
    public function __construct(public Kind $kind, public string $json)
    {
    }
}
