<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\Reach;
use Meandros\Core\Proof\TakenBy;
use Meandros\Core\Routing\EndingKind;

/** Who or what takes calls, in a few words. */
final readonly class CourseWords
{
    public Names $names;
    private Catalog $catalog;

    public function __construct(Plan $plan, private string $language = 'en')
    {
        $this->names = new Names($plan);
        $this->catalog = Catalog::of('courses', $language);
    }

    /**
     * @return array{list<CoverageLine>, non-empty-list<int>} lines in the order in which they come first, and for each interval of the coverage the place of its line
     */
    public function lines(Coverage $coverage): array
    {
        $intervals = $first = $places = $of = $known = [];
        foreach ($coverage->courses as $i => $course) {
            $key = $known[$course->key] ??=
                $this->takes($course->takenBy()) . "\n" . implode("\n", $this->heard($course));
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
                $this->takes($course->takenBy()),
                $this->heard($course),
                $intervals[$place] ?? [[0, 0]],
            );
        }

        return [$lines, $of];
    }

    /** "waits in Bookings, then rings Ann, then Bookings mailbox". */
    public function takes(TakenBy $by): string
    {
        $who = Listed::each(array_map($this->names->of(...), $by->takes), 'then', $this->language);

        return match ($by->reach) {
            Reach::Queue => $this->queued($by),
            Reach::Person, Reach::Outside, Reach::Message, Reach::Announcement => $this->catalog->say(
                $by->reach->value,
                ['who' => $who],
            ),
            Reach::Nobody => $this->catalog->say(
                match ($by->ending) {
                    EndingKind::LoopStopped => 'nobody.loop',
                    EndingKind::RanOut => 'nobody.ran-out',
                    default => 'nobody.ends',
                },
            ),
        };
    }

    private function queued(TakenBy $by): string
    {
        $turn = $this->inTurn($by->takes, false);

        return match ($by->ending) {
            EndingKind::CallbackKept, EndingKind::CallbackInVain => $this->catalog->say('queue.callback', [
                'turn' => $turn,
            ]),
            default => $turn,
        };
    }

    /**
     * "rings Freight office, then waits in Bookings queue, then leaves a message with Bookings mailbox".
     *
     * @param list<string> $takes
     * @param bool         $withMessage whether it is said what is done with a mailbox; else it goes without saying
     */
    public function inTurn(array $takes, bool $withMessage = true): string
    {
        $said = [];
        $last = null;
        foreach ($takes as $who) {
            $does = match ($this->names->kind($who)) {
                Kind::Queue => 'waits',
                Kind::Person, Kind::Team => 'rings',
                Kind::Mailbox => $withMessage ? 'leaves' : null,
                default => null,
            };
            $name = $this->names->of($who);
            $said[] =
                null === $does || $does === $last ? $name : $this->catalog->say('turn.' . $does, ['who' => $name]);
            $last = $does;
        }

        return Listed::each($said, 'then', $this->language);
    }

    /** @return list<string> captions of the prompts that are heard */
    public function heard(Course $course): array
    {
        return array_values(array_unique(array_map($this->names->of(...), $course->hears)));
    }
}
