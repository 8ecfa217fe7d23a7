<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\ICalendar\Exporter;
use Meandros\Core\Paper\Chapter;
use Meandros\Core\Paper\Heading;
use Meandros\Core\Paper\Paper;
use Meandros\Core\Paper\Table;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Proof\Times;
use Meandros\Core\Proof\Totals;
use Meandros\Core\Reading\CsvTable;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\BranchWords;
use Meandros\Core\Wording\CourseWords;
use Meandros\Core\Wording\Listed;
use Meandros\Core\Wording\TimesWords;
use Meandros\Core\Wording\When;

/** The coverage of a number as files: a table of all intervals, a calendar of when somebody may be reached, a page to print. */
final readonly class CoverageFiles
{
    private const COLUMNS = ['from', 'until', 'kind', 'takes', 'hears'];
    private const MOST_PARTS = 20;

    /** @param int $now Unix seconds */
    public function __construct(
        private Plan $plan,
        private Number $number,
        private Coverage $coverage,
        private LookedUp $lookedUp,
        private string $zone,
        private int $now,
    ) {}

    public function table(): string
    {
        [$lines, $places] = (new CourseWords($this->plan))->lines($this->coverage);
        $rows = [];
        foreach ($this->intervals($places) as [$since, $until, $place]) {
            $line = $lines[$place];
            $rows[] = [
                Moment::format($since, $this->zone),
                Moment::format($until, $this->zone),
                $line->course->reach->value,
                $line->words,
                implode('; ', $line->hears),
            ];
        }

        return (new CsvTable(self::COLUMNS, 'from', 'intervals'))->write($rows);
    }

    public function calendar(): string
    {
        [$lines, $places] = (new CourseWords($this->plan))->lines($this->coverage);
        $events = [];
        foreach ($this->intervals($places) as [$since, $until, $place]) {
            if ($lines[$place]->course->reach->isSomebody()) {
                $events[] = [$since, $until, $this->number->name() . ': ' . $lines[$place]->words];
            }
        }

        return (new Exporter($this->now))->intervals($this->number->name(), $this->number->id(), $events);
    }

    public function paper(int $year): Paper
    {
        $rows = [];
        [$lines, $places] = (new CourseWords($this->plan))->lines($this->coverage);
        $words = new BranchWords($this->plan);
        $during = $words->byPlace($this->coverage, $places, $this->lookedUp, $this->zone);
        foreach ($lines as $place => $line) {
            $times = Times::of($line->intervals, $this->coverage->starts[0], $this->coverage->until, $this->zone);
            $rows[] = [
                \sprintf('%.1f h', $line->seconds() / 3600),
                ucfirst($line->words),
                implode(', ', $line->hears),
                Listed::capital(
                    implode(': ', array_filter([$during[$place] ?? '', TimesWords::of($times, self::MOST_PARTS)])),
                ),
            ];
        }
        $totals = Totals::of($this->coverage, $this->zone);

        return new Paper(
            'en',
            \sprintf('Who takes the calls to %s in %d', $this->number->name(), $year),
            \sprintf('%s, made on %s.', $this->plan->name, When::instant($this->now, $this->zone)),
            [
                new Chapter(
                    new Heading('What calls come to'),
                    [
                        \sprintf(
                            'In a usual week somebody may be reached for %.1f h; on %d of %d days nobody can be reached at all.',
                            $totals->usualWeek / 3600,
                            $totals->daysWithout,
                            $totals->days,
                        ),
                        'Callers press nothing, and nobody answers: that shows everything that is rung.',
                    ],
                    tables: [new Table(['Of the year', 'Calls come to', 'Callers hear', 'When'], $rows)],
                ),
            ],
            [],
        );
    }

    /**
     * @param list<int> $places of lines, by interval of the coverage
     *
     * @return list<array{int, int, int}> intervals that read the same as one, with the places of their lines
     */
    private function intervals(array $places): array
    {
        $intervals = [];
        foreach ($places as $i => $place) {
            $since = $this->coverage->starts[$i] ?? 0;
            $until = $this->coverage->starts[$i + 1] ?? $this->coverage->until;
            $last = \count($intervals) - 1;
            if ($last >= 0 && $intervals[$last][2] === $place) {
                $intervals[$last][1] = $until;
            } else {
                $intervals[] = [$since, $until, $place];
            }
        }

        return $intervals;
    }
}
