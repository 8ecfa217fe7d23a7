<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Proof\Course;

/** Courses of a coverage that read the same, and when calls take them. */
final readonly class CoverageLine
{
    /**
     * @param Course                          $course    the first of them
     * @param string                          $words     who or what takes the calls
     * @param list<string>                    $hears     captions of prompts
     * @param non-empty-list<array{int, int}> $intervals in order: first instants, and first instants after them
     */
    public function __construct(
        public Course $course,
        public string $words,
        public array $hears,
        public array $intervals,
    ) {}

    public function seconds(): int
    {
        return array_sum(array_map(static fn(array $one): int => $one[1] - $one[0], $this->intervals));
    }
}
