<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\Stretches;

/** Who or what takes the calls of a stretch of time: intervals without gaps, exact to the second, neighbours differ. */
final readonly class Coverage
{
    /**
     * @param non-empty-list<int>    $starts  first instants of the intervals
     * @param int                    $until   first instant after the last one
     * @param non-empty-list<Course> $courses one per start
     */
    private function __construct(public array $starts, public int $until, public array $courses) {}

    /** @throws InvalidData */
    public static function over(Courses $calls, int $from, int $until): self
    {
        $at = $from;
        $stretch = $calls->at($at);
        $starts = [$from];
        $courses = [$stretch->course];
        while (null !== $stretch->until && $stretch->until < $until) {
            $at = max($at + 1, $stretch->until);
            $stretch = $calls->at($at);
            if ($stretch->course !== $courses[\count($courses) - 1]) {
                $starts[] = $at;
                $courses[] = $stretch->course;
            }
        }

        return new self($starts, $until, $courses);
    }

    /** @return array<string, int> seconds by Reach, of those that there are */
    public function seconds(): array
    {
        $seconds = [];
        foreach ($this->courses as $i => $course) {
            $lasts = ($this->starts[$i + 1] ?? $this->until) - $this->starts[$i];
            $seconds[$course->reach->value] = $lasts + ($seconds[$course->reach->value] ?? 0);
        }

        return $seconds;
    }

    /** The course at an instant within. */
    public function at(int $instant): Course
    {
        return $this->courses[Stretches::search($this->starts, $instant)] ?? $this->courses[0];
    }
}
