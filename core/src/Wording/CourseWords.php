<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Change;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\Reach;
use Meandros\Core\Proof\Severity;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\Ringing;

/** Who or what takes calls, and what another plan changes for them, in a few words. */
final readonly class CourseWords
{
    private Names $before;
    private Names $after;

    /** @param Plan|null $before where it is another one */
    public function __construct(Plan $plan, ?Plan $before = null)
    {
        $this->after = new Names($plan);
        $this->before = new Names($before ?? $plan);
    }

    /**
     * "while Bookings hours are “Open”".
     *
     * @param list<string> $states
     */
    public function while(string $hours, array $states): string
    {
        return HoursWords::while($this->after, $hours, $states);
    }

    /** "waits in Bookings, then rings Ann, then Bookings mailbox". */
    public function takes(Course $course): string
    {
        return self::said($course, $this->after);
    }

    /**
     * @return array{list<CoverageLine>, non-empty-list<int>} lines in the order in which they come first, and for each interval of the coverage the place of its line
     */
    public function lines(Coverage $coverage): array
    {
        $intervals = $first = $places = $of = $known = [];
        foreach ($coverage->courses as $i => $course) {
            $key = $known[$course->key] ??=
                $this->takes($course) . "\n" . implode("\n", self::heard($course, $this->after));
            $place = $places[$key] ??= \count($places);
            $first[$place] ??= $course;
            $of[] = $place;
            $last = \count($intervals[$place] ?? []) - 1;
            $until = $coverage->starts[$i + 1] ?? $coverage->until;
            if ($last >= 0 && $intervals[$place][$last][1] === $coverage->starts[$i]) {
                $intervals[$place][$last][1] = $until;
            } else {
                $intervals[$place][] = [$coverage->starts[$i], $until];
            }
        }
        $lines = [];
        foreach ($first as $place => $course) {
            $lines[] = new CoverageLine(
                $course,
                $this->takes($course),
                self::heard($course, $this->after),
                $intervals[$place] ?? [[0, 0]],
            );
        }

        return [$lines, $of];
    }

    /** Changes of which this is the same are told as one. */
    public function alike(Change $change): string
    {
        $said = [self::said($change->before, $this->before), self::said($change->after, $this->after)];

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
    private static function begin(array $courses, Names $names): string
    {
        $said = array_unique(array_map(static fn(Course $one): string => self::said($one, $names), $courses));
        $same = $courses[0]->takes;
        foreach ($courses as $course) {
            $same = array_intersect_assoc($same, $course->takes);
        }
        for ($count = 0; isset($same[$count]); ++$count) {
        }

        return 1 === \count($said) ? $said[0] : self::inTurn(\array_slice($same, 0, $count), $names, '') . ' and so on';
    }

    private function change(Change $change): string
    {
        [$before, $after] = [self::said($change->before, $this->before), self::said($change->after, $this->after)];

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
            [] === $come => 'no longer ' . self::inTurn($gone, $this->before),
            [] === $gone => 'also ' . self::inTurn($come, $this->after),
            default => \sprintf(
                'instead of %s, %s',
                Listed::words(array_map($this->before->of(...), $gone), 'and'),
                self::inTurn($come, $this->after),
            ),
        };
    }

    private static function said(Course $course, Names $names): string
    {
        $who = implode(', then ', array_map($names->of(...), $course->takes));

        return match ($course->reach) {
            Reach::Queue => self::inTurn($course->takes, $names, ''),
            Reach::Person => 'rings ' . $who,
            Reach::Outside => 'sent on to ' . $who,
            Reach::Message => 'a message with ' . $who,
            Reach::Announcement => 'the announcement of ' . $who,
            Reach::Nobody => match ($course->trace->ending->kind) {
                EndingKind::LoopStopped => 'nobody: goes round in a loop',
                EndingKind::RanOut => 'nobody: no step is left',
                default => 'nobody: the call ends',
            },
        };
    }

    /**
     * "rings Freight office, then waits in Bookings queue, then leaves a message with Bookings mailbox".
     *
     * @param list<string> $takes
     * @param string|null  $message what is said of a mailbox, where it goes without saying
     */
    private static function inTurn(array $takes, Names $names, ?string $message = null): string
    {
        $said = '';
        $last = null;
        foreach ($takes as $who) {
            $does = match ($names->kind($who)) {
                Kind::Queue => 'waits in ',
                Kind::Person, Kind::Team => 'rings ',
                Kind::Mailbox => $message ?? 'leaves a message with ',
                default => '',
            };
            $said .= ('' === $said ? '' : ', then ') . ($does === $last ? '' : $does) . $names->of($who);
            $last = $does;
        }

        return $said;
    }

    /** What differs where the same people and places take the calls. */
    private function details(Course $before, Course $after): string
    {
        $heard = [self::heard($before, $this->before), self::heard($after, $this->after)];
        $rings = [self::rings($before, $this->before), self::rings($after, $this->after)];
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

    /** @return list<string> captions of the prompts that are heard */
    private static function heard(Course $course, Names $names): array
    {
        return array_values(array_unique(array_map($names->of(...), $course->hears)));
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
