<?php

declare(strict_types=1);

namespace Meandros\Core\Outside;

/** Kept for as long as whoever asks is there. */
final class KnownRanges implements PhoneRanges
{
    /** @var array<string, PhoneRange> by number */
    private array $ranges = [];
    /** @var array<string, string> by number and country */
    private array $dialled = [];

    public function of(string $number): PhoneRange
    {
        return $this->ranges[$number] ??= PhoneRange::of($number);
    }

    public function dialled(string $number, string $country): string
    {
        return $this->dialled[$number . ' ' . $country] ??= PhoneRange::dialled($number, $country);
    }
}
