<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Routing\Ending;

/** The call is over. */
final readonly class Over implements Happening
{
    /** @param int|null $limit the number of steps or seconds that was reached, where a limit ended it */
    public function __construct(public Ending $ending, public ?string $lastStep, public ?int $limit = null, public string $limitUnit = '')
    {
    }

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
        return null === $this->limit ? ['lastStep' => $this->lastStep] : ['lastStep' => $this->lastStep, 'limit' => $this->limit, 'unit' => $this->limitUnit];
    }
}
