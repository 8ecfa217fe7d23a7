<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Branch;
use Meandros\Core\Proof\Branching;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Routing\Lookup\HoursLookup;
use Meandros\Core\Routing\Lookup\InstantLookup;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\TimeOfDay;
use Meandros\Core\Time\Zone;
use Meandros\Core\Value\Lists;

/** When calls find what in what parts them: "while Bookings hours are “Open”", "until Mon 4 Jan 2027 09:00". */
final readonly class BranchWords
{
    /** Ways to one place; more are told by the clock. */
    private const MOST = 3;

    private Names $names;
    private Catalog $catalog;

    public function __construct(private Plan $plan, private string $language = 'en')
    {
        $this->names = new Names($plan);
        $this->catalog = Catalog::of('times', $language);
    }

    /**
     * What tells calls apart, from the first thing that they look up to the last: "while Bookings hours are “Open” and while …".
     *
     * @param non-empty-list<int> $places of what is said of the intervals of the coverage
     *
     * @return array<int, string> by place; without those that nothing tells apart, or too much
     */
    public function byPlace(Coverage $coverage, array $places, LookedUp $lookedUp, string $zone): array
    {
        return $this->told((new Branching($lookedUp))->over($coverage, $places), $zone);
    }

    /**
     * The same of times in which calls fare otherwise.
     *
     * @param non-empty-list<array{int, int}> $intervals in order
     * @param Course                          $course    of a call in one of them
     *
     * @return string|null null where what it looks up is not so then and at no other time
     */
    public function during(array $intervals, Course $course, LookedUp $lookedUp, string $zone): ?string
    {
        $branch = (new Branching($lookedUp))->within($intervals, $course);

        return $this->told($branch, $zone)[Branching::WITHIN] ?? null;
    }

    /** @return array<int, string> by place */
    private function told(Branch $branch, string $zone): array
    {
        $told = [];
        foreach ($this->leading($branch, $zone, []) as [$place, $conditions]) {
            $told[$place][] = Listed::words($conditions, 'and', $this->language);
        }
        $some = array_filter($told, static fn(array $one): bool => !Lists::has($one, '') && \count($one) <= self::MOST);

        return array_map(fn(array $one): string => Listed::each($one, 'beside', $this->language), $some);
    }

    /**
     * @param list<string> $before
     *
     * @return iterable<array{int, list<string>}> places, and what leads to them; nothing where that leads to others, too
     */
    private function leading(Branch $branch, string $zone, array $before): iterable
    {
        if (null === $branch->by) {
            foreach (array_keys($branch->times) as $place) {
                yield [$place, 1 === \count($branch->times) ? $before : []];
            }

            return;
        }
        foreach ($branch->branches as [$answers, $inner]) {
            yield from $this->leading($inner, $zone, [...$before, $this->when($branch->by, $answers, $zone)]);
        }
    }

    /**
     * @param non-empty-list<string> $answers
     * @param string                 $zone    in which an instant is told
     */
    public function when(HoursLookup|InstantLookup $by, array $answers, string $zone): string
    {
        if ($by instanceof InstantLookup) {
            return $this->catalog->say(InstantLookup::PASSED === $answers[0] ? 'since' : 'until', [
                'moment' => $this->moment($by->passes, $zone),
            ]);
        }
        $hours = $by->hours;
        if (null !== $this->plan->get(Hours::class, $hours->id())) {
            return HoursWords::while($this->names, $hours->id(), $answers, $this->language);
        }

        // The times of a rule are hours of their own, named after it.
        return $this->catalog->say('rule.' . $answers[0], [
            'rule' => Listed::quoted($hours->name(), $this->language),
            'person' => $this->names->of(explode('/', $hours->id())[0]),
        ]);
    }

    private function moment(int $instant, string $zone): string
    {
        $local = Zone::around($zone, $instant)->localOf($instant);
        $day = CivilDate::ofLocalSecond($local);

        return \sprintf(
            '%s %s',
            When::date($day, $this->language),
            TimeOfDay::format($local - $day * CivilDate::SECONDS_PER_DAY),
        );
    }
}
