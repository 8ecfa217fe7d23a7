<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Layer;

/** One of the things that have a say in the state of hours. A stronger layer's spans lie over a weaker one's. */
interface Layer
{
    /** @return list<Span> on the local day, the weakest first */
    public function spansOn(int $day): array;

    /** Whether the layer has the last second of the day: then nothing weaker runs on past that midnight. */
    public function holdsMidnightAfter(int $day): bool;
}
