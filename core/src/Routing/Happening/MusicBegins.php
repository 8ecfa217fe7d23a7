<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Plan\Element\QueueMusic;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Whoever waits hears music from now on; announcements are heard over it. */
final readonly class MusicBegins implements QueueHappening
{
    /** @param non-empty-list<string> $pieces prompts in the order of the first round */
    private function __construct(public array $pieces, public bool $shuffled) {}

    public static function of(QueueMusic $music, int $seed): self
    {
        \assert([] !== $music->pieces);

        return new self(
            $music->shuffled ? (new Randomizer(new Mt19937($seed)))->shuffleArray($music->pieces) : $music->pieces,
            $music->shuffled,
        );
    }

    public function kind(): string
    {
        return 'music begins';
    }

    public function what(): array
    {
        return ['pieces' => $this->pieces];
    }

    public function because(): array
    {
        return ['shuffled' => $this->shuffled];
    }

    public function noticed(): array
    {
        return ['pieces' => $this->pieces];
    }
}
