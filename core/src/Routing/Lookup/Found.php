<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Lookup;

/** What a lookup finds, and in which stretch of instants at which a call may come in it finds the same. */
final readonly class Found
{
    /**
     * @param int|null $since first instant of the stretch; null where none is known
     * @param int|null $until first instant after it; null where none is known
     */
    public function __construct(public string $answer, public ?int $since, public ?int $until) {}
}
