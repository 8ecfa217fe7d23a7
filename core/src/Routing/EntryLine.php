<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** The line by which a call enters the plan. */
final readonly class EntryLine
{
    /**
     * @param bool         $tellsCaller whether it delivers the numbers of callers
     * @param InBlock|null $inBlock     where in a block of numbers the dialled one lies
     * @param string|null  $keptUntil   a date: the number was given up, and is kept free until then
     */
    public function __construct(
        public bool $tellsCaller = true,
        public ?InBlock $inBlock = null,
        public ?string $keptUntil = null,
    ) {}
}
