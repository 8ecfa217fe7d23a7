<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** A call to one of our own numbers was given so many seconds, and they are over. */
final class TimeUp extends \Exception
{
    /** @param int $leg which of the calls within the call it is, from 0 */
    public function __construct(public readonly int $leg)
    {
        parent::__construct();
    }
}
