<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\HoursStep;
use Meandros\Core\Script\NamedTimes;
use Meandros\Core\Time\TimeOfDay;
use Meandros\Core\Value\Lists;

/**
 * A script that names times at which the hours beside it neither open nor close so: its own hours, else those of the steps in
 * whose exits it is heard.
 *
 * @implements Check<Prompt>
 */
final class TimesOtherThanHours implements Check
{
    private const MINUTE = 60;

    public function looksAt(): array
    {
        return [Prompt::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $named = array_filter(
            array_map(
                static fn(string $language): array => NamedTimes::in($element->scripts[$language], $language),
                array_combine(array_keys($element->scripts), array_keys($element->scripts)),
            ),
        );
        foreach ([] === $named ? [] : self::hours($element, $survey) as $hours) {
            $open = self::open($hours);
            foreach ($named as $language => $stretches) {
                foreach ($stretches as [$words, $from, $to]) {
                    if ([] !== $open && !self::isOneOf($open, $from, $to)) {
                        yield Finding::warning($element, '/scripts/' . $language, 'times-other-than-hours', [
                            'words' => $words,
                            'hours' => $hours->name(),
                            'open' => implode(', ', self::asTheyAre($hours)),
                        ]);
                    }
                }
            }
        }
    }

    /** @return array<string, Hours> by id */
    private static function hours(Prompt $prompt, Survey $survey): array
    {
        $ids = null === $prompt->hours ? [] : [$prompt->hours];
        foreach (null === $prompt->hours ? $survey->plan->mentioning($prompt->id(), Kind::Journey) : [] as $journey) {
            $steps = $journey instanceof Journey ? iterator_to_array($journey->steps->everyStep('/steps')) : [];
            foreach ($steps as $place => $step) {
                if (self::says($step, $prompt)) {
                    array_push($ids, ...self::around($place, $steps));
                }
            }
        }
        $hours = [];
        foreach ($ids as $id) {
            $one = $survey->plan->get(Hours::class, $id);
            null === $one || ($hours[$id] = $one);
        }

        return $hours;
    }

    private static function says(Step $step, Prompt $prompt): bool
    {
        foreach ($step->references('') as $reference) {
            if ($reference->id === $prompt->id()) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param array<string, Step> $steps by pointer
     *
     * @return list<string> the hours of the steps in whose exits a place lies, by id
     */
    private static function around(string $place, array $steps): array
    {
        $ids = [];
        foreach ($steps as $outer => $step) {
            if ($step instanceof HoursStep && null !== $step->hours && str_starts_with($place, $outer . '/')) {
                $ids[] = $step->hours;
            }
        }

        return $ids;
    }

    /** @return list<array{int, int}> stretches of a day, in minutes, in which they are open in some week */
    private static function open(Hours $hours): array
    {
        $open = [];
        foreach (self::days($hours) as $bands) {
            // Each band, and whatever stretches from the beginning of one to the end of another: lunch may lie between.
            foreach ($bands as $i => [$from]) {
                foreach (\array_slice($bands, $i) as [, $to]) {
                    $open[] = [intdiv($from, self::MINUTE), intdiv($to, self::MINUTE)];
                }
            }
        }

        return $open;
    }

    /** @return list<string> from when to when they are open, bands that meet being one */
    private static function asTheyAre(Hours $hours): array
    {
        $said = [];
        foreach (self::days($hours) as $bands) {
            foreach ($bands as $i => [$from, $to]) {
                if (($bands[$i - 1][1] ?? -1) < $from) {
                    for ($next = $i + 1; ($bands[$next][0] ?? \PHP_INT_MAX) <= $to; ++$next) {
                        $to = max($to, $bands[$next][1]);
                    }
                    $said[TimeOfDay::format($from) . '–' . TimeOfDay::format($to)] = true;
                }
            }
        }

        return array_keys($said);
    }

    /** @return iterable<list<array{int, int}>> of each day of each week: the seconds at which bands begin and end, in order */
    private static function days(Hours $hours): iterable
    {
        foreach (
            [$hours->days->week, ...array_map(static fn($season): array => $season->week, $hours->days->seasons)]
            as $week
        ) {
            $days = [];
            foreach ($week as $one) {
                foreach ($hours->isOpen($one->band->state) ? $one->days : [] as $day) {
                    $days[$day->value][] = [$one->band->fromSeconds, $one->band->toSeconds];
                }
            }
            foreach ($days as $bands) {
                sort($bands);
                yield $bands;
            }
        }
    }

    /**
     * @param list<array{int, int}> $open
     * @param list<int>             $from minutes of the day at which it may begin
     * @param list<int>             $to   minutes at which it may end
     */
    private static function isOneOf(array $open, array $from, array $to): bool
    {
        foreach ($open as [$begins, $ends]) {
            if (Lists::has($from, $begins) && Lists::has($to, (($ends - 1) % 1440) + 1)) {
                return true;
            }
        }

        return false;
    }
}
