<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Layer;

/** One of the things that have a say in the state of hours. A stronger layer's spans lie over a weaker one's. */
interface Layer
{
    /** What holds on the date, over the whole of it, where the layer says nothing more particular; null where it has no say then. */
    public function ground(int $day): ?Span;

    /** @return list<Span> on the date, in seconds since its midnight and perhaps beyond its end, the weakest first */
    public function spans(int $day): array;

    /**
     * Whether the layer has the last second of a date, or the first one of the date after it: then nothing weaker runs
     * on past that midnight.
     */
    public function holdsMidnight(int $day, int $next): bool;
}
