<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Call\Tag;

/** What the call carries is changed from here on. */
final readonly class Tagged implements Happening
{
    public function __construct(public Tag $tag) {}

    public function kind(): string
    {
        return 'tagged';
    }

    public function what(): array
    {
        return $this->tag->toJson();
    }

    public function because(): array
    {
        return [];
    }

    public function noticed(): array
    {
        return $this->what();
    }
}
