<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

use Meandros\Core\Value\Lists;

/** Two hours beside each other: at every instant both are open, only one of them, or neither. */
final readonly class Comparison
{
    public const BOTH = 'both';
    public const FIRST = 'first';
    public const SECOND = 'second';
    public const NEITHER = 'neither';

    /**
     * @param non-empty-list<int>    $starts
     * @param non-empty-list<string> $states
     */
    private function __construct(public array $starts, public array $states) {}

    /**
     * @param list<string> $firstOpen  states of the first that count as open
     * @param list<string> $secondOpen
     */
    public static function of(CompiledHours $first, array $firstOpen, CompiledHours $second, array $secondOpen): self
    {
        $edges = array_unique([...$first->starts(), ...$second->starts()]);
        sort($edges);
        $starts = $states = [];
        foreach ($edges as $edge) {
            $state = match (
                [Lists::has($firstOpen, $first->stateAt($edge)), Lists::has($secondOpen, $second->stateAt($edge))]
            ) {
                [true, true] => self::BOTH,
                [true, false] => self::FIRST,
                [false, true] => self::SECOND,
                default => self::NEITHER,
            };
            if (end($states) !== $state) {
                $starts[] = $edge;
                $states[] = $state;
            }
        }

        return new self([] === $starts ? [$first->from] : $starts, [] === $states ? [self::NEITHER] : $states);
    }
}
