<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Proof\Branch;
use Meandros\Core\Proof\Branching;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Fares\Presses;
use Meandros\Core\Proof\Intervals;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Proof\Times;
use Meandros\Core\Routing\Lookup\HoursLookup;
use Meandros\Core\Wording\BranchWords;
use Meandros\Core\Wording\CourseWords;
use Meandros\Core\Wording\CoverageLine;
use Meandros\Core\Wording\Listed;
use Meandros\Core\Wording\TimesWords;

/** What callers hear and who answers, by the states of hours; and when hours that were named are in them. */
final class CallsInBrief
{
    private const MOST_PARTS = 12;
    private const MOST_DAYS = 20;
    private const MINUTE = 60;
    /** The place of calls of which nothing is said. */
    private const UNTOLD = -1;

    private readonly CourseWords $courses;
    private readonly BranchWords $branches;
    private readonly LookedUp $lookedUp;
    /** @var array<string, Hours> that were named, by id */
    private array $hours = [];

    public function __construct(private readonly Fares $fares, private readonly PaperWords $words)
    {
        $this->courses = new CourseWords($fares->plan, $words->language);
        $this->branches = new BranchWords($fares->plan, $words->language);
        $this->lookedUp = new LookedUp($fares->hours, $fares->from, $fares->until);
    }

    /** @return list<Line> of calls at which nothing is pressed; and what keys lead to that callers may press */
    public function lines(Number $number, string $zone): array
    {
        $told = $pressed = [];
        foreach ($this->fares->presses($number, $this->fares->anybody())[0] as $keys) {
            $lines = $this->told($number, $keys, $zone);
            $text = implode("\n", array_map(self::text(...), $lines));
            $told[$text] = $lines;
            $pressed[$text][] = $keys;
        }
        $all = $alike = $usual = [];
        foreach ($told as $text => $lines) {
            $some = array_values(array_filter($pressed[$text]));
            $isUsual = \count($some) < \count($pressed[$text]);
            if ($isUsual) {
                array_push($all, ...$lines);
                $usual = array_map(self::text(...), $lines);
            }
            if ([] !== $some && ($isUsual || [] === array_diff(array_map(self::text(...), $lines), $usual))) {
                array_push($alike, ...$some);
            } elseif ([] !== $some) {
                $all[] = new Line($this->words->say('brief.pressed', ['keys' => $this->keys($some)]));
                array_push(
                    $all,
                    ...array_map(static fn(Line $one): Line => new Line($one->text, null, $one->depth + 1), $lines),
                );
            }
        }

        return [] === $alike
            ? $all
            : [...$all, new Line($this->words->say('brief.pressed-alike', ['keys' => $this->keys($alike)]))];
    }

    /** @return list<Line> when the hours that were named are in their states over the stretch, each below its name */
    public function states(): array
    {
        $hours = $this->hours;
        uasort($hours, static fn(Hours $a, Hours $b): int => strnatcasecmp($a->name(), $b->name()));
        $lines = [];
        foreach ($hours as $one) {
            $lines[] = new Line($one->name());
            $times = [];
            foreach ($this->lookedUp->in(new HoursLookup($one, 0)) as [$since, $until, $state]) {
                $times[$state][] = [$since, $until];
            }
            $zone = $this->fares->hours->timetable($one)->zone;
            foreach ($one->states->all as $state) {
                if (isset($times[$state->key])) {
                    $lines[] = new Line(
                        $this->words->say('brief.state', [
                            'state' => Listed::quoted($state->name, $this->words->language),
                            'times' =>
                                $state->key === $one->states->default
                                    ? $this->words->say('brief.otherwise')
                                    : $this->times($times[$state->key], $zone),
                        ]),
                        depth: 1,
                    );
                }
            }
        }

        return $lines;
    }

    private static function text(Line $line): string
    {
        return $line->depth . $line->text;
    }

    /** @param non-empty-list<list<string>> $pressed */
    private function keys(array $pressed): string
    {
        $language = $this->words->language;
        $said = array_map(static fn(array $keys): string => Listed::each($keys, 'then', $language), $pressed);

        return Listed::each($said, 'or', $language);
    }

    /**
     * @param list<string> $keys that are pressed
     *
     * @return list<Line>
     */
    private function told(Number $number, array $keys, string $zone): array
    {
        $coverage = $this->fares->coverage($number, $this->fares->anybody(), $keys);
        [$lines, $of] = $this->courses->lines($coverage);
        $places = array_map(
            static fn(int $place): int => Presses::areTaken($lines[$place]->course, $keys) ? $place : self::UNTOLD,
            $of,
        );

        return $this->branch((new Branching($this->lookedUp))->over($coverage, $places), $lines, $zone, null, 0);
    }

    /**
     * @param list<CoverageLine> $lines by place
     * @param string|null        $when  what the branch has in common
     *
     * @return list<Line>
     */
    private function branch(Branch $branch, array $lines, string $zone, ?string $when, int $depth): array
    {
        $places = array_diff(array_keys($branch->times), [self::UNTOLD]);
        if ([] === $places) {
            return [];
        }
        if (null !== $when && 1 === \count($branch->times)) {
            return [new Line($this->sentence($lines[$places[0]], $when), depth: $depth)];
        }
        $told = [];
        if (null !== $when) {
            $told[] = new Line($this->words->say('brief.when', ['when' => Listed::capital($when)]), depth: $depth++);
        }
        if (null === $branch->by) {
            foreach ($places as $place) {
                $when = $this->times($branch->times[$place], $zone);
                $told[] = new Line($this->sentence($lines[$place], $when), depth: $depth);
            }
        } else {
            foreach ($branch->branches as [$answers, $inner]) {
                $this->names($branch->by);
                array_push(
                    $told,
                    ...$this->branch(
                        $inner,
                        $lines,
                        $zone,
                        $this->branches->when($branch->by, $answers, $zone),
                        $depth,
                    ),
                );
            }
        }

        return $told;
    }

    private function names(object $by): void
    {
        $hours = $by instanceof HoursLookup ? $this->fares->plan->get(Hours::class, $by->hours->id()) : null;
        if (null !== $hours) {
            $this->hours[$hours->id()] = $hours;
        }
    }

    /** @param non-empty-list<array{int, int}> $times told to the minute */
    private function times(array $times, string $zone): string
    {
        $minute = static fn(int $instant): int => intdiv($instant + self::MINUTE / 2, self::MINUTE) * self::MINUTE;
        [$from, $until] = [$this->fares->from, $this->fares->until];
        $rounded = [];
        foreach ($times as [$since, $ends]) {
            $rounded[] = [$since === $from ? $from : $minute($since), $ends === $until ? $until : $minute($ends)];
        }

        return TimesWords::of(
            Times::of(Intervals::union($rounded) ?: $rounded, $from, $until, $zone),
            self::MOST_PARTS,
            $this->words->language,
            self::MOST_DAYS,
        );
    }

    private function sentence(CoverageLine $line, string $when): string
    {
        $quoted = fn(string $text): string => Listed::quoted($text, $this->words->language);

        return $this->words->say([] === $line->hears ? 'brief.comes-to' : 'brief.hears', [
            'when' => Listed::capital($when),
            'prompts' => implode(', ', array_map($quoted, $line->hears)),
            'takes' => $line->words,
        ]);
    }
}
