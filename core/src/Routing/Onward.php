<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** Where a call goes from a step: on to the next one, out by an exit, to another journey, or nowhere. */
final readonly class Onward
{
    private function __construct(public ?string $exit = null, public ?string $journey = null, public ?Ending $ending = null)
    {
    }

    public static function next(): self
    {
        return new self();
    }

    public static function by(string $exit): self
    {
        return new self(exit: $exit);
    }

    public static function to(string $journey): self
    {
        return new self(journey: $journey);
    }

    public static function end(Ending $ending): self
    {
        return new self(ending: $ending);
    }
}
