<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Coverage;

/** A coverage as JSON: the data, and beside it the words. */
final class CoverageReport
{
    /**
     * @return array{since: int, until: int, intervals: list<array{int, int}>, courses: list<array<string, mixed>>, seconds: array<string, int>} intervals as the instant
     *                                                                                                                                           at which each begins and the place of its course
     */
    public static function of(Coverage $coverage, Plan $plan): array
    {
        $words = new CourseWords($plan);
        $places = $courses = $intervals = [];
        foreach ($coverage->courses as $i => $course) {
            if (!isset($places[$course->key])) {
                $places[$course->key] = \count($places);
                $courses[] = self::course($course, $plan, $words);
            }
            $intervals[] = [$coverage->starts[$i] ?? 0, $places[$course->key]];
        }

        return [
            'since' => $coverage->starts[0],
            'until' => $coverage->until,
            'intervals' => $intervals,
            'courses' => $courses,
            'seconds' => $coverage->seconds(),
        ];
    }

    /** @return array<string, mixed> */
    private static function course(Course $course, Plan $plan, CourseWords $words): array
    {
        return [
            'reach' => $course->reach->value,
            'takes' => $course->takes,
            'people' => $course->people,
            'words' => $words->takes($course),
            'sentence' => AnswerSentence::of($course->trace, $plan),
            'ending' => $course->trace->ending->toJson(),
            'seconds' => $course->trace->seconds,
        ];
    }
}
