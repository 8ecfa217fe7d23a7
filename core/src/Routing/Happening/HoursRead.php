<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Reading;

final readonly class HoursRead implements Happening
{
    /** @param Reading|null $reading null when no hours are chosen */
    public function __construct(
        public ?string $hours,
        public ?Reading $reading,
        public string $zone,
        public bool $hasExit,
    ) {}

    public function kind(): string
    {
        return 'hours';
    }

    public function what(): array
    {
        return ['hours' => $this->hours, 'state' => $this->reading?->state];
    }

    public function because(): array
    {
        if (null === $this->reading) {
            return ['missing' => 'hours'];
        }

        return [
            'decision' => $this->reading->decision->toJson(),
            'hasExit' => $this->hasExit,
            'since' => null === $this->reading->since ? null : Moment::format($this->reading->since, $this->zone),
            'until' => null === $this->reading->until ? null : Moment::format($this->reading->until, $this->zone),
        ];
    }

    public function noticed(): array
    {
        return [];
    }
}
