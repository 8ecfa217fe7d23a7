<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Change;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Impact;
use Meandros\Core\Proof\Intervals;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Proof\PlanImpact;
use Meandros\Core\Proof\Severity;
use Meandros\Core\Routing\Happening\Ringing;

/** What another plan changes for callers, in a few words. */
final readonly class ChangeWords
{
    private CourseWords $before;
    private CourseWords $after;
    private BranchWords $branches;

    public function __construct(private Plan $is, private Plan $was)
    {
        $this->before = new CourseWords($was);
        $this->after = new CourseWords($is);
        $this->branches = new BranchWords($is);
    }

    /** Of a number that only the plan before has, or of which the other has not all. */
    public function gone(Number $number): string
    {
        $taken = $this->is->dialled($number->range->example());

        return match (true) {
            null !== PlanImpact::counterpart($this->is, $number) => 'not all of its numbers are in the plan any more',
            null !== $taken => \sprintf('no number of its own any more: its calls are those of %s', $taken->name()),
            default => 'no longer a number of the plan',
        };
    }

    /** Of a number that only the plan after it has, or of which the other has not all. */
    public function come(Number $number): string
    {
        $taken = $this->was->dialled($number->range->example());

        return match (true) {
            null !== PlanImpact::counterpart($this->was, $number) => 'more of its numbers are in the plan',
            null !== $taken => \sprintf('a number of its own: its calls were those of %s', $taken->name()),
            default => 'a new number',
        };
    }

    /**
     * "while Bookings hours are “Open”", of the plan that it becomes.
     *
     * @param non-empty-list<array{int, int}> $times  in order
     * @param Course                          $course of a call in one of them
     *
     * @return string|null null where what it looks up does not tell them
     */
    public function during(array $times, Course $course, LookedUp $lookedUp, string $zone): ?string
    {
        // What is otherwise for some seconds in between is told by itself.
        $bridged = Intervals::bridged($times, Impact::MOVED_AT_MOST);

        return $this->branches->during($bridged, $course, $lookedUp, $zone);
    }

    /** Changes of which this is the same are told as one. */
    public function alike(Change $change): string
    {
        $said = [$this->before->takes($change->before->takenBy()), $this->after->takes($change->after->takenBy())];

        return serialize(
            match ($change->severity) {
                Severity::Lost => [$change->before->takes[0] ?? '', $said[1]],
                Severity::Gained => [$said[0], $change->after->takes[0] ?? ''],
                default => $this->change($change),
            },
        );
    }

    /** @param non-empty-list<Change> $changes that are alike */
    public function together(array $changes): string
    {
        return match ($changes[0]->severity) {
            Severity::Lost, Severity::Gained => \sprintf(
                'before: %s; now: %s',
                self::begin(array_map(static fn(Change $one): Course => $one->before, $changes), $this->before),
                self::begin(array_map(static fn(Change $one): Course => $one->after, $changes), $this->after),
            ),
            default => $this->change($changes[0]),
        };
    }

    /**
     * What is said of all of them, as far as they begin alike.
     *
     * @param non-empty-list<Course> $courses
     */
    private static function begin(array $courses, CourseWords $words): string
    {
        $said = array_unique(array_map(static fn(Course $one): string => $words->takes($one->takenBy()), $courses));
        $same = $courses[0]->takes;
        foreach ($courses as $course) {
            $same = array_intersect_assoc($same, $course->takes);
        }
        for ($count = 0; isset($same[$count]); ++$count) {
        }

        return 1 === \count($said) ? $said[0] : $words->inTurn(\array_slice($same, 0, $count), false) . ' and so on';
    }

    private function change(Change $change): string
    {
        [$before, $after] = [
            $this->before->takes($change->before->takenBy()),
            $this->after->takes($change->after->takenBy()),
        ];

        return match (true) {
            0 !== $change->moved => \sprintf(
                'edges of hours come %s %s',
                Duration::words(abs($change->moved)),
                $change->moved > 0 ? 'later' : 'sooner',
            ),
            $before === $after => $this->details($change->before, $change->after),
            default => $this->partly($change) ?? \sprintf('before: %s; now: %s', $before, $after),
        };
    }

    /** "no longer rings Ann", "also rings Ben", "instead of Ann, rings Ben": where somebody or something else goes on taking the calls. */
    private function partly(Change $change): ?string
    {
        [$before, $after] = [$change->before->takes, $change->after->takes];
        $least = min(\count($before), \count($after));
        for ($same = 0; $same < $least && $before[$same] === $after[$same]; ++$same) {
        }
        for (
            $end = 0;
            $end < $least - $same && $before[\count($before) - 1 - $end] === $after[\count($after) - 1 - $end];
            ++$end
        ) {
        }
        if (0 === $same + $end || $before === $after) {
            return null;
        }
        $gone = \array_slice($before, $same, \count($before) - $same - $end);
        $come = \array_slice($after, $same, \count($after) - $same - $end);

        return match (true) {
            [] === $come => 'no longer ' . $this->before->inTurn($gone),
            [] === $gone => 'also ' . $this->after->inTurn($come),
            default => \sprintf(
                'instead of %s, %s',
                Listed::words(array_map($this->before->names->of(...), $gone), 'and'),
                $this->after->inTurn($come),
            ),
        };
    }

    /** What differs where the same people and places take the calls. */
    private function details(Course $before, Course $after): string
    {
        $heard = [$this->before->heard($before), $this->after->heard($after)];
        $rings = [self::rings($before, $this->before->names), self::rings($after, $this->after->names)];
        $words = [];
        foreach ($rings[1] as $who => $seconds) {
            $was = $rings[0][$who] ?? $seconds;
            if ($was !== $seconds) {
                $words[] = \sprintf(
                    '%s rings %s %s',
                    $who,
                    Duration::words(abs($seconds - $was)),
                    $seconds > $was ? 'longer' : 'shorter',
                );
            }
        }
        foreach ([[1, 0, 'hears “%s”'], [0, 1, 'no longer hears “%s”']] as [$in, $notIn, $said]) {
            foreach (array_diff($heard[$in], $heard[$notIn]) as $prompt) {
                $words[] = \sprintf($said, $prompt);
            }
        }
        if ([] === $words && $before->trace->seconds !== $after->trace->seconds) {
            $seconds = $after->trace->seconds - $before->trace->seconds;
            $words[] = \sprintf('takes %s %s', Duration::words(abs($seconds)), $seconds > 0 ? 'longer' : 'less');
        }

        return [] === $words ? 'the same people and places, in other details' : implode(', ', $words);
    }

    /** @return array<string, int> seconds by the name of who is rung */
    private static function rings(Course $course, Names $names): array
    {
        $rings = [];
        foreach ($course->trace->passage->events as $event) {
            if ($event->happening instanceof Ringing) {
                $who = $names->target($event->happening->target);
                $rings[$who] = ($rings[$who] ?? 0) + $event->happening->seconds;
            }
        }

        return $rings;
    }
}
