<?php

declare(strict_types=1);

namespace Meandros\Core\Numbers;

/** What a row of a file of numbers is about: a number, or a block of them. */
final readonly class RowRange
{
    /**
     * @param string|null $last      of a block; null where the file has no such column
     * @param string|null $extension that the first number is for; null where the file has no such column
     */
    public function __construct(public string $number, public ?string $last, public ?string $extension) {}
}
