<?php

declare(strict_types=1);

namespace Meandros\Bench;

/** How long json_decode of the demo plan takes: the reference. Measured in between: the speed of a shared machine changes from second to second. */
final class Reference
{
    /** @var list<float> milliseconds */
    private array $took = [];

    public function __construct(private readonly string $json) {}

    public function take(int $times = 1): void
    {
        for (; $times > 0; --$times) {
            $t = hrtime(true);
            json_decode($this->json, true, 128, \JSON_THROW_ON_ERROR);
            $this->took[] = (hrtime(true) - $t) / 1e6;
        }
    }

    /** @return list<float> milliseconds, since it was asked for last */
    public function took(): array
    {
        [$took, $this->took] = [$this->took, []];

        return $took;
    }

    public function median(): float
    {
        $took = $this->took();
        sort($took);

        return $took[intdiv(\count($took), 2)];
    }
}
