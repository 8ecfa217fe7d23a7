<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** One of our own numbers is called: the call comes in there, as one from inside. */
final readonly class ComesBackIn implements Happening
{
    /** @param string $element the number's id */
    public function __construct(public string $element) {}

    public function kind(): string
    {
        return 'comes back in';
    }

    public function what(): array
    {
        return ['element' => $this->element];
    }

    public function because(): array
    {
        return [];
    }

    public function noticed(): array
    {
        return [];
    }
}
