<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Plan\Target;

final readonly class Dialled implements Happening
{
    /**
     * @param string $element     the number's or the person's id
     * @param bool   $hidesCaller whether its line keeps the caller's number to itself
     * @param bool   $isTried     whether it is no number, and a call is tried straight to it
     */
    public function __construct(
        public string $element,
        public ?Target $target,
        public bool $hidesCaller = false,
        public bool $isTried = false,
    ) {}

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
        return ['target' => $this->target?->text(), 'hidesCaller' => $this->hidesCaller, 'isTried' => $this->isTried];
    }

    public function noticed(): array
    {
        return [];
    }
}
