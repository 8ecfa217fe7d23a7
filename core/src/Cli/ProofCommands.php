<?php

declare(strict_types=1);

namespace Meandros\Core\Cli;

use Meandros\Core\Call\TrialCall;
use Meandros\Core\Paper\Brief;
use Meandros\Core\Paper\Markdown;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Courses;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\Endings;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Impact;
use Meandros\Core\Proof\Times;
use Meandros\Core\Time\Moment;
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
        $coverage = Coverage::over(new Courses($plan, $call), $call->instant, $until);
        $words = new CourseWords($plan);
        $lines = $words->lines($coverage)[0];
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
        $text = '';
        foreach ($lines as $line) {
            $text .= \sprintf(
                "%8.1f h  %s%s\n            %s\n",
                $line->seconds() / 3600,
                $line->words,
                [] === $line->hears ? '' : \sprintf('; hears “%s”', implode('”, “', $line->hears)),
                TimesWords::of(Times::of($line->intervals, $call->instant, $until, $zone)),
            );
        }

        return $text;
    }

    /** What another plan changes for the calls to each number. */
    public static function impact(Options $options): string
    {
        $before = Given::plan($options);
        $after = Given::plan($options, 1);
        [$call, $zone] = Given::call($options, $after, self::firstNumber($after));
        $until = $call->instant + Given::days($options) * self::DAY;
        $words = new CourseWords($after, $before);
        $report = [];
        foreach ($options->has('to') ? [$call->dialled] : self::numbers($after) as $number) {
            $to = new TrialCall($number, $call->caller, $call->instant);
            $changes =
                null === $before->dialled($number)
                    ? []
                    : Impact::between(
                        Coverage::over(new Courses($before, $to), $call->instant, $until),
                        Coverage::over(new Courses($after, $to), $call->instant, $until),
                    );
            if ([] !== $changes) {
                $report[$number] = ImpactReport::of($changes, $words, $call->instant, $until, $zone);
            }
        }
        if ($options->has('json')) {
            return json_encode((object) $report, self::JSON) . "\n";
        }
        $text = [] === $report ? "No call fares differently.\n" : '';
        foreach ($report as $number => $changes) {
            $text .= \sprintf("%s %s\n", $number, $after->dialled($number)?->name());
            foreach ($changes as $change) {
                $text .= \sprintf("    %s: %s\n", $change['when'], $change['what']);
            }
        }

        return $text;
    }

    /** What callers hear and who answers, in sentences. */
    public static function brief(Options $options): string
    {
        $plan = Given::plan($options);
        [$call] = Given::call($options, $plan, self::firstNumber($plan));
        $number = $options->has('to') ? $plan->dialled($call->dialled)?->id() : null;
        $until = $call->instant + Given::days($options) * self::DAY;
        $before = isset($options->arguments[1]) ? new Fares(Given::plan($options, 1), $call->instant, $until) : null;
        $brief = Brief::of(
            new Fares($plan, $call->instant, $until),
            $options->arguments[0] ?? '',
            null === $number ? [] : [$number],
            $before,
            static fn(): bool => true,
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
                null === $one['journey'] ? '' : $one['journey'] . ' ' . $one['step'] . ': ',
                $one['words'],
            );
        }

        return $text;
    }

    /** @return list<string> in E.164 */
    private static function numbers(Plan $plan): array
    {
        return array_map(static fn(Number $number): string => $number->range->number, $plan->all(Number::class));
    }

    private static function firstNumber(Plan $plan): string
    {
        return self::numbers($plan)[0] ?? throw new \InvalidArgumentException('The plan has no number.');
    }
}
