<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Proof\Times;
use Meandros\Core\Proof\Totals;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\YearPicture;
use Meandros\Core\Wording\BranchWords;
use Meandros\Core\Wording\CourseWords;
use Meandros\Core\Wording\CoverageLine;
use Meandros\Core\Wording\TimesWords;

/** The coverage of a year as JSON: the picture by kinds of who takes calls, one week by courses, the courses in words, and totals. */
final class CoveragePicture
{
    private const WEEK = 7;

    /**
     * @param LookedUp $lookedUp over the year
     * @param int      $today    a day (since 1970) of the week that is told by courses
     *
     * @return array<string, mixed>
     */
    public static function of(
        Coverage $coverage,
        LookedUp $lookedUp,
        Plan $plan,
        string $zone,
        int $year,
        int $today,
    ): array {
        [$lines, $places] = (new CourseWords($plan))->lines($coverage);
        $during = (new BranchWords($plan))->byPlace($coverage, $places, $lookedUp, $zone);
        $courses = array_map(
            static fn(CoverageLine $line, int $place): array => [
                'reach' => $line->course->reach->value,
                'takes' => $line->course->takes,
                'people' => $line->course->people,
                'words' => $line->words,
                'hears' => $line->hears,
                'when' => TimesWords::of(Times::of($line->intervals, $coverage->starts[0], $coverage->until, $zone)),
                'during' => $during[$place] ?? '',
                'seconds' => $line->seconds(),
                'first' => Moment::format($line->intervals[0][0], $zone),
            ],
            $lines,
            array_keys($lines),
        );
        $byReach = array_map(static fn(Course $course): string => $course->reach->value, $coverage->courses);
        $picture = YearPicture::draw($coverage->starts, $byReach, $zone, $year);
        $days = YearPicture::draw($coverage->starts, array_map(strval(...), $places), $zone, $year)->days;
        $first = CivilDate::of($year, 1, 1);
        $monday = max(0, min(\count($days) - self::WEEK, $today - CivilDate::weekday($today) - $first));

        return [
            'year' => $year,
            'zone' => $zone,
            'days' => $picture->days,
            'clockChanges' => YearReport::clockChanges($picture, $zone),
            'week' => array_map(
                static fn(array $stretches, int $i): array => [
                    'date' => CivilDate::format($first + $monday + $i),
                    'stretches' => array_map(
                        static fn(array $one): array => [
                            'from' => $one['from'],
                            'to' => $one['to'],
                            'course' => (int) $one['state'],
                        ],
                        $stretches,
                    ),
                ],
                \array_slice($days, $monday, self::WEEK),
                range(0, self::WEEK - 1),
            ),
            'courses' => $courses,
            'totals' => Totals::of($coverage, $zone)->toJson(),
        ];
    }
}
