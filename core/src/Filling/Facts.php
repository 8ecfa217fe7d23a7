<?php

declare(strict_types=1);

namespace Meandros\Core\Filling;

/** What is known at the moment at which a prompt is heard. */
interface Facts
{
    /** Days since 1970 of the day that it is where the call is. */
    public function today(): int;

    /** @return array{int, int}|null the day and the minute of it, on the local clock, at which hours open next; null where nobody can say */
    public function nextOpening(): ?array;

    /** In the queue, from 1; null where nobody waits. */
    public function position(): ?int;

    /** @return int|null seconds that the wait is likely to take; null where nobody can say */
    public function expectedWait(): ?int;

    /** Of whoever is called. */
    public function name(): string;
}
