<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Plan\Element\DialCode;
use Meandros\Core\Time\Moment;

/** Somebody dials the code that forces hours into a state, or lifts what is forced. The trace tells; it changes nothing. */
final readonly class CodeDialled implements Happening
{
    /**
     * @param int|null $until   when the forced state would end by itself
     * @param bool     $allowed codes work from extensions only
     */
    public function __construct(
        public string $hours,
        public DialCode $code,
        public ?int $until,
        public string $zone,
        public bool $allowed,
    ) {}

    public function kind(): string
    {
        return 'code dialled';
    }

    public function what(): array
    {
        return [
            'hours' => $this->hours,
            'state' => $this->code->state,
            'ends' => $this->code->ends->value,
            'allowed' => $this->allowed,
        ];
    }

    public function because(): array
    {
        return [
            'code' => $this->code->code,
            'until' => null === $this->until ? null : Moment::format($this->until, $this->zone),
        ];
    }

    public function noticed(): array
    {
        return $this->what() + $this->because();
    }
}
