<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element\OutsideLine;

/** Channels of outside lines: a phone outside is given one when it is dialled, and gives it back when it is silent. */
final class Channels
{
    /** @param array<string, int> $inUse channels that are taken, by line */
    public function __construct(private readonly Lines $lines, private array $inUse) {}

    /** @return OutsideLine|null null where every channel of the lines that may carry it is taken */
    public function take(string $number, ?string $site): ?OutsideLine
    {
        foreach ($this->lines->carriers($number, $site) as $line) {
            $taken = $this->inUse[$line->id()] ?? 0;
            if ($taken < $line->channels) {
                $this->inUse[$line->id()] = $taken + 1;

                return $line;
            }
        }

        return null;
    }

    public function give(string $line): void
    {
        --$this->inUse[$line];
    }
}
