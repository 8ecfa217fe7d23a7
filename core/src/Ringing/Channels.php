<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element\OutsideLine;

/** Gives phones outside a channel on a line that may carry the call, in the order in which they begin to ring. */
final class Channels
{
    /** @var array<string, list<int>> when each channel in use is free again, by line */
    private array $inUse = [];

    /** @param array<string, int> $taken channels that other calls use meanwhile, by line */
    public function __construct(private readonly Lines $lines, private readonly array $taken)
    {
    }

    /**
     * @param int $from not before that of the phone before
     *
     * @return OutsideLine|null null where all channels are taken from that second on
     */
    public function take(RingPhone $phone, int $from, int $until): ?OutsideLine
    {
        foreach ($this->lines->carriers((string) $phone->number, $phone->site) as $line) {
            $id = $line->id();
            $capacity = $line->channels - ($this->taken[$id] ?? 0);
            $inUse = $this->inUse[$id] ?? [];
            if (\count($inUse) >= $capacity && [] !== $inUse && min($inUse) <= $from) {
                $inUse = array_values(array_filter($inUse, static fn (int $free): bool => $free > $from));
            }
            if (\count($inUse) < $capacity) {
                $inUse[] = $until;
                $this->inUse[$id] = $inUse;

                return $line;
            }
        }

        return null;
    }
}
