<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Layer;

use Meandros\Core\Time\Band;
use Meandros\Core\Time\Decision;
use Meandros\Core\Time\TimeOfDay;

/** A part of a local date, in seconds since its midnight and perhaps beyond its end, with the state that a layer gives it. */
final readonly class Span
{
    public function __construct(
        public int $fromSeconds,
        public int $toSeconds,
        public string $state,
        public Decision $decision,
    ) {}

    public static function wholeDay(string $state, Decision $decision): self
    {
        return new self(0, TimeOfDay::DAY, $state, $decision);
    }

    public static function ofBand(Band $band, Decision $decision): self
    {
        return new self($band->fromSeconds, $band->toSeconds, $band->state, $decision);
    }
}
