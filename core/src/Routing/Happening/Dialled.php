<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Plan\Target;
use Meandros\Core\Routing\InBlock;

final readonly class Dialled implements Happening
{
    /**
     * @param string      $element     the number's or the person's id
     * @param bool        $hidesCaller whether its line keeps the caller's number to itself
     * @param bool        $isTried     whether it is no number, and a call is tried straight to it
     * @param string|null $keptUntil   a date: the number was given up, and is kept free until then
     */
    public function __construct(
        public string $element,
        public ?Target $target,
        public bool $hidesCaller,
        public bool $isTried,
        public ?InBlock $inBlock,
        public ?string $keptUntil,
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
        return [
            'target' => $this->target?->text(),
            'hidesCaller' => $this->hidesCaller,
            'isTried' => $this->isTried,
            'block' => $this->inBlock?->toJson(),
            'keptUntil' => $this->keptUntil,
        ];
    }

    public function noticed(): array
    {
        return [];
    }
}
