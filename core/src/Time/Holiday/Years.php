<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

/** The years in which a holiday is kept: from one, to another, and not in some. */
final readonly class Years
{
    /** @param list<int> $except */
    public function __construct(public ?int $from = null, public ?int $to = null, public array $except = [])
    {
    }

    public function contain(int $year): bool
    {
        return $year >= ($this->from ?? $year) && $year <= ($this->to ?? $year) && !\in_array($year, $this->except, true);
    }

    /** @return array{from: int|null, to: int|null, except: list<int>} */
    public function toJson(): array
    {
        return ['from' => $this->from, 'to' => $this->to, 'except' => $this->except];
    }
}
