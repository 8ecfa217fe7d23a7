<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

final readonly class Went implements Happening
{
    public function __construct(public ?string $journey, public bool $comesBack) {}

    public function kind(): string
    {
        return 'went';
    }

    public function what(): array
    {
        return ['journey' => $this->journey];
    }

    public function because(): array
    {
        return null === $this->journey ? ['missing' => 'journey'] : ['comesBack' => $this->comesBack];
    }

    public function noticed(): array
    {
        return [];
    }
}
