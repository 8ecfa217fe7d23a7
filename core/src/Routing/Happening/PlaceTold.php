<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Filling\Spoken;

/** Whoever waits hears how many are ahead, and how long it is likely to take. */
final readonly class PlaceTold implements QueueHappening
{
    /**
     * @param int|null $position from 1; null where it is not told
     * @param int|null $expected seconds; null where it is not told, or nobody is signed in
     * @param string   $language of the call
     */
    public function __construct(
        public string $queue,
        public ?int $position,
        public ?int $expected,
        private string $language,
    ) {}

    public function kind(): string
    {
        return 'place told';
    }

    public function what(): array
    {
        $minutes = null === $this->expected ? null : (int) ceil($this->expected / 60);

        return [
            ...$this->noticed(),
            'language' => $this->language,
            'words' => Spoken::in($this->language)->place($this->position, $minutes),
        ];
    }

    public function because(): array
    {
        return [];
    }

    public function noticed(): array
    {
        return ['queue' => $this->queue, 'position' => $this->position, 'expected' => $this->expected];
    }
}
