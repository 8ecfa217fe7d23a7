<?php

declare(strict_types=1);

namespace Meandros\Core\Overflow;

/** Where calls go that are not taken: on to the next who may take them, or to the end. */
final readonly class Flow
{
    /**
     * @param list<string>        $exits   of the step by which they go there
     * @param int                 $seconds that may have passed by then since they came to the step: at most, what is said on the way included
     * @param Stay|null           $to      null where the call ends
     * @param array<string, true> $hours   that are looked at on the way, by id
     */
    public function __construct(public array $exits, public int $seconds, public ?Stay $to, public array $hours = []) {}
}
