<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** The call ends in the middle of a step: the caller gives up, or it is stopped. */
final class CallOver extends \Exception
{
    private function __construct(public readonly Ending $ending, public readonly ?Stop $stop)
    {
        parent::__construct($ending->kind->value);
    }

    public static function givenUp(): self
    {
        return new self(new Ending(EndingKind::CallerGaveUp), null);
    }

    public static function stopped(Stop $stop): self
    {
        return new self(new Ending(EndingKind::LoopStopped), $stop);
    }
}
