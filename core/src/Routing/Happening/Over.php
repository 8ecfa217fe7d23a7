<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\Stop;

/** The call is over. */
final readonly class Over implements Happening
{
    /**
     * @param Stop|null $stop  why it was stopped, where it was
     * @param int|null  $limit the number of steps or seconds that was reached, where a limit ended it
     */
    public function __construct(
        public Ending $ending,
        public ?string $lastStep,
        public ?Stop $stop = null,
        public ?int $limit = null,
    ) {}

    public function kind(): string
    {
        return $this->ending->kind->value;
    }

    public function what(): array
    {
        return $this->ending->toJson();
    }

    public function because(): array
    {
        return ['lastStep' => $this->lastStep, 'stop' => $this->stop?->value, 'limit' => $this->limit];
    }

    public function noticed(): array
    {
        return $this->what();
    }
}
