<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Plan\Step\ParkStep;

/** The call waits at a place for somebody who dials it. */
final readonly class ParkedAt implements Happening
{
    /**
     * @param string|null $site       null where none is chosen
     * @param string|null $place      null where none is free
     * @param string|null $prompt     heard meanwhile
     * @param int|null    $takenAfter seconds; null where nobody takes it
     * @param string|null $by         who takes it, where that is stated
     */
    public function __construct(
        public ParkStep $step,
        public ?string $site,
        public ?string $place,
        public ?string $prompt = null,
        public ?int $takenAfter = null,
        public ?string $by = null,
    ) {}

    public function kind(): string
    {
        return null === $this->place ? 'not parked' : 'parked';
    }

    public function what(): array
    {
        return ['site' => $this->site, 'place' => $this->place, 'takenAfter' => $this->takenAfter, 'by' => $this->by];
    }

    public function because(): array
    {
        return ['first' => null !== $this->place && '' === $this->step->place, 'prompt' => $this->prompt];
    }

    public function noticed(): array
    {
        return null === $this->place ? [] : ['place' => $this->place, 'prompt' => $this->prompt, 'by' => $this->by];
    }
}
