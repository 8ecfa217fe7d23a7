<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** The call ends in the middle of a step: the caller gives up, or a limit stops it. */
final class CallOver extends \Exception
{
    public function __construct(public readonly Ending $ending)
    {
        parent::__construct($ending->kind->value);
    }
}
