<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Plan\Target;

final readonly class Dialled implements Happening
{
    /** @param string $element the number's or the person's id */
    public function __construct(public string $element, public ?Target $target)
    {
    }

    public function kind(): string
    {
        return 'dialled';
    }

    public function what(): array
    {
        return ['element' => $this->element];
    }

    public function because(): array
    {
        return ['target' => $this->target?->text()];
    }

    public function noticed(): array
    {
        return [];
    }
}
