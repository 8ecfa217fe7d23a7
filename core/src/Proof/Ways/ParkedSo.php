<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Parked;

/** What is said of parked calls on a way through a plan, and what was found by it: it holds for all of them. */
final readonly class ParkedSo
{
    /**
     * @param int          $inVain seconds for which one waited that nobody took
     * @param list<string> $free   places at which one did, in their order
     */
    public function __construct(
        public Parked $parked = new Parked(),
        public int $inVain = 0,
        public array $free = [],
    ) {}

    /** Nobody takes the one that waits there now. */
    public function notTaken(int $seconds, string $place): self
    {
        $free = array_values(array_unique([...$this->free, $place]));
        sort($free);

        return new self($this->parked, max($this->inVain, $seconds), $free);
    }

    /** @param list<string> $places at which other calls wait, too */
    public function without(array $places): self
    {
        $taken = array_values(array_unique([...$this->parked->taken, ...$places]));

        return new self(new Parked(null, null, $taken), $this->inVain, $this->free);
    }

    public function takenAfter(int $seconds): self
    {
        return new self(new Parked($seconds, null, $this->parked->taken), $this->inVain, $this->free);
    }
}
