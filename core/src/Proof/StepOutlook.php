<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Routing\Ending;

/** What can become of a call from a step on. */
final readonly class StepOutlook
{
    /**
     * @param array<string, Ending> $endings by their names
     * @param int|null              $most    seconds until the call is over at most; null where it may go round as often as callers like
     */
    public function __construct(
        public string $journey,
        public string $step,
        public array $endings,
        public ?int $most,
    ) {}
}
