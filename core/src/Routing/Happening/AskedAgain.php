<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** The call goes back to a menu, which asks again. */
final readonly class AskedAgain implements Happening
{
    /** @param int $up menus further up than the one that it was in */
    public function __construct(public int $up) {}

    public function kind(): string
    {
        return 'asked again';
    }

    public function what(): array
    {
        return ['up' => $this->up];
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
