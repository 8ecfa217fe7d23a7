<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

final readonly class Table
{
    /**
     * @param list<string>       $head
     * @param list<list<string>> $rows as many cells each
     */
    public function __construct(public array $head, public array $rows) {}
}
