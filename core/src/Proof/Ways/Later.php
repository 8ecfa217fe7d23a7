<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

/** What may come after a step that depends on what was done at it. */
final readonly class Later
{
    /**
     * @param bool                $tellsWhoRang whether what is heard may depend on what became of ringing before
     * @param array<string, true> $rings        who may be rung again
     * @param bool                $mixes        whether that may be in the very second in which the step is over, so that it matters
     *                                          what each of the phones does that ring together
     * @param bool                $isOneWayOn   whether calls go on alike from the step whatever became of ringing in it
     */
    public function __construct(
        public bool $tellsWhoRang,
        private array $rings,
        public bool $mixes,
        public bool $isOneWayOn,
    ) {}

    public function rings(string $phone): bool
    {
        return isset($this->rings[explode('/', $phone)[0]]);
    }
}
