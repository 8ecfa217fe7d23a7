<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Value\Lists;

/** What other elements may mention within an element: the phones of a person, the holidays of a calendar. */
final readonly class Parts
{
    /**
     * @param string       $pointer where they stand in the element
     * @param string       $word    what one of them is called
     * @param list<string> $ids
     */
    public function __construct(public string $pointer, public string $word, public array $ids) {}

    public function have(string $id): bool
    {
        return Lists::has($this->ids, $id);
    }
}
