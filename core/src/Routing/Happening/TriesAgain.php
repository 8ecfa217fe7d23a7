<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** The caller is kept, and the phones ring again, round after round. Rounds without an answer are told by the phones that rang. */
final readonly class TriesAgain implements Happening
{
    public function __construct(public int $minutes) {}

    public function kind(): string
    {
        return 'tries again';
    }

    public function what(): array
    {
        return ['minutes' => $this->minutes];
    }

    public function because(): array
    {
        return [];
    }

    public function noticed(): array
    {
        return [];
    }
}
