<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Outside\PhoneRange;
use Meandros\Core\Outside\PhoneRanges;

/** What numbers belong to, in shared memory: finding it out takes a tenth of a trial call. */
final class SharedRanges implements PhoneRanges
{
    /** @var array<string, PhoneRange> by number */
    private array $ranges = [];
    /** @var array<string, string> by number and country */
    private array $dialled = [];

    public function __construct(private readonly SharedMemory $memory) {}

    public function of(string $number): PhoneRange
    {
        return $this->ranges[$number] ??= $this->shared(
            'range.' . $number,
            static fn(mixed $kept): ?PhoneRange => $kept instanceof PhoneRange ? $kept : null,
            static fn(): PhoneRange => PhoneRange::of($number),
        );
    }

    public function dialled(string $number, string $country): string
    {
        $name = $number . ' ' . $country;

        return $this->dialled[$name] ??= $this->shared(
            'dialled.' . $name,
            static fn(mixed $kept): ?string => \is_string($kept) ? $kept : null,
            static fn(): string => PhoneRange::dialled($number, $country),
        );
    }

    /**
     * @template T
     *
     * @param \Closure(mixed): ?T $read
     * @param \Closure(): T       $find
     *
     * @return T
     */
    private function shared(string $name, \Closure $read, \Closure $find): mixed
    {
        $kept = $read($this->memory->get($name));
        if (null === $kept) {
            $this->memory->keep($name, $kept = $find());
        }

        return $kept;
    }
}
