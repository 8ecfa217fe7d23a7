<?php

declare(strict_types=1);

namespace Meandros\Core\Cli;

use Meandros\Core\Call\TrialCall;
use Meandros\Core\Paper\Brief;
use Meandros\Core\Paper\Markdown;
use Meandros\Core\Paper\PaperWords;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Courses;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\Endings;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Proof\PlanImpact;
use Meandros\Core\Proof\Severity;
use Meandros\Core\Proof\Times;
use Meandros\Core\Time\Moment;
use Meandros\Core\Value\Lists;
use Meandros\Core\Wording\BranchWords;
use Meandros\Core\Wording\ChangeWords;
use Meandros\Core\Wording\CourseWords;
use Meandros\Core\Wording\CoverageLine;
use Meandros\Core\Wording\EndingsReport;
use Meandros\Core\Wording\ImpactReport;
use Meandros\Core\Wording\TimesWords;

/** What all calls of a stretch of time come to: `coverage`, `impact` and `endings`. */
final class ProofCommands
{
    private const JSON = \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR;
    private const DAY = 86400;

    /** Who or what takes the calls to a number, and when. */
    public static function coverage(Options $options): string
    {
        $plan = Given::plan($options);
        [$call, $zone] = Given::call($options, $plan);
        $until = $call->instant + Given::days($options) * self::DAY;
        $courses = new Courses($plan, $call);
        $coverage = Coverage::over($courses, $call->instant, $until);
        [$lines, $places] = (new CourseWords($plan))->lines($coverage);
        if ($options->has('json')) {
            return json_encode(
                array_map(
                    static fn(CoverageLine $line): array => [
                        'reach' => $line->course->reach->value,
                        'takes' => $line->course->takes,
                        'words' => $line->words,
                        'hears' => $line->hears,
                        'intervals' => array_map(
                            static fn(array $one): array => [
                                Moment::format($one[0], $zone),
                                Moment::format($one[1], $zone),
                            ],
                            $line->intervals,
                        ),
                    ],
                    $lines,
                ),
                self::JSON,
            ) . "\n";
        }
        $lookedUp = new LookedUp($courses->hours, $call->instant, $until);
        $during = (new BranchWords($plan))->byPlace($coverage, $places, $lookedUp, $zone);
        $text = '';
        foreach ($lines as $place => $line) {
            $text .= \sprintf(
                "%8.1f h  %s%s\n",
                $line->seconds() / 3600,
                $line->words,
                [] === $line->hears ? '' : \sprintf('; hears “%s”', implode('”, “', $line->hears)),
            );
            $times = TimesWords::of(Times::of($line->intervals, $call->instant, $until, $zone));
            foreach (array_filter([$during[$place] ?? '', $times]) as $when) {
                $text .= \sprintf("            %s\n", $when);
            }
        }

        return $text;
    }

    /** What another plan changes for the calls to each number, whoever calls, whatever they press and whatever phones do. */
    public static function impact(Options $options): string
    {
        if ($options->has('from')) {
            throw new \InvalidArgumentException(
                '--from: leave it out; calls from everybody who is told apart are looked at.',
            );
        }
        $before = Given::plan($options);
        $after = Given::plan($options, 1);
        [$call, $zone] = Given::call($options, $after, self::firstNumber($after));
        $until = $call->instant + Given::days($options) * self::DAY;
        $all = static fn(Plan $plan): AllNumbers => new AllNumbers($plan, $call, $call->instant, $until);
        $fares = static fn(Plan $plan): Fares => new Fares($plan, $call->instant, $until);
        self::demandOutside($options, $call);
        $numbers = $options->has('to')
            ? array_filter([PlanImpact::pair($before, $after, $call->dialled)])
            : PlanImpact::numbers($before, $after);
        $impact = new PlanImpact($numbers, $all($before), $all($after), [$fares($before), $fares($after)]);
        $words = new ChangeWords($after, $before);
        $lookedUp = new LookedUp(new PlanHours($after), $call->instant, $until);
        [$gone, $come] = $options->has('to')
            ? [[], []]
            : [PlanImpact::onlyIn($before, $after), PlanImpact::onlyIn($after, $before)];
        $told = [
            ...ImpactReport::ofOnlyOne($gone, Severity::Gone, $words, $call->instant, $until),
            ...ImpactReport::ofAll(
                $impact->findWhateverPhonesDo(static fn(): bool => true)[0],
                $words,
                $call->instant,
                $until,
                static fn(): string => $zone,
                $lookedUp,
            ),
            ...ImpactReport::ofOnlyOne($come, Severity::Come, $words, $call->instant, $until),
        ];
        $report = [];
        $text = '';
        foreach ($told as [$number, $changes]) {
            $dialled = $number->range->example();
            $report[$dialled] = $changes;
            $text .= \sprintf("%s %s\n", $dialled, $number->name());
            foreach ($changes as $change) {
                $text .= \sprintf("    %s%s: %s\n", $change['when'], self::where($change), $change['what']);
            }
        }

        return match (true) {
            $options->has('json') => json_encode((object) $report, self::JSON) . "\n",
            '' === $text => "No call fares differently.\n",
            default => $text,
        };
    }

    /**
     * For whom it changes, where that is not everybody.
     *
     * @param array{keys: list<string>, from: string, phones: list<string>, ...} $change
     */
    private static function where(array $change): string
    {
        $where = [
            ...'' === $change['from'] ? [] : ['from ' . $change['from']],
            ...[] === $change['keys'] ? [] : ['keys ' . implode(' ', $change['keys'])],
            ...[] === $change['phones'] ? [] : ['every phone: ' . implode(', ', $change['phones'])],
        ];

        return [] === $where ? '' : \sprintf(' (%s)', implode('; ', $where));
    }

    /** What callers hear and who answers, in sentences. */
    public static function brief(Options $options): string
    {
        $plan = Given::plan($options);
        [$call] = Given::call($options, $plan, self::firstNumber($plan));
        self::demandOutside($options, $call);
        $number = $options->has('to') ? $plan->dialled($call->dialled)?->id() : null;
        $until = $call->instant + Given::days($options) * self::DAY;
        $before = isset($options->arguments[1]) ? new Fares(Given::plan($options, 1), $call->instant, $until) : null;
        $language = $options->get('language', PaperWords::LANGUAGES[0]);
        if (!Lists::has(PaperWords::LANGUAGES, $language)) {
            throw new \InvalidArgumentException('--language: ' . implode(' or ', PaperWords::LANGUAGES) . '.');
        }
        $brief = Brief::of(
            new Fares($plan, $call->instant, $until),
            $options->arguments[0] ?? '',
            null === $number ? [] : [$number],
            $before,
            static fn(): bool => true,
            $language,
        );

        return null === $brief ? '' : Markdown::of($brief);
    }

    /** Every way in which a call can end. */
    public static function endings(Options $options): string
    {
        $plan = Given::plan($options);
        [$call] = Given::call($options, $plan);
        $report = EndingsReport::of(Endings::of($plan, $call), $plan);
        if ($options->has('json')) {
            return json_encode($report, self::JSON) . "\n";
        }
        $text = '';
        foreach ($report['endings'] as $one) {
            $text .= \sprintf("%5d s – %5s s  %s\n", $one['least'], $one['most'] ?? '∞', $one['words']);
        }

        foreach ($report['notTried'] as $i => $one) {
            $text .= 0 === $i ? "There may be others, or sooner and later ones:\n" : '';
            $text .= \sprintf(
                "  %s%s\n",
                null === $one['journey'] ? '' : implode(' ', [$one['journey'], $one['step'], $one['line']]) . ': ',
                $one['words'],
            );
        }

        return $text;
    }

    /** Only numbers that are dialled from outside are looked at over a stretch of time. */
    private static function demandOutside(Options $options, TrialCall $call): void
    {
        if ($options->has('to') && !str_starts_with($call->dialled, '+')) {
            throw new \InvalidArgumentException('--to: a number that is dialled from outside.');
        }
    }

    private static function firstNumber(Plan $plan): string
    {
        return $plan->all(Number::class)[0]->range->number ??
            throw new \InvalidArgumentException('The plan has no number.');
    }
}
