<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Expected\EndsWith;
use Meandros\Core\Plan\Expected\ExpectedCalls;
use Meandros\Core\Plan\Expected\ExpectedTimes;
use Meandros\Core\Plan\Expected\Hears;
use Meandros\Core\Plan\Expected\Promise;
use Meandros\Core\Plan\Expected\Rings;
use Meandros\Core\Plan\Expected\RingsNever;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Reach;
use Meandros\Core\Routing\Happening\Asked;
use Meandros\Core\Routing\Happening\CallerToldApart;
use Meandros\Core\Routing\Happening\HoursRead;
use Meandros\Core\Routing\InBlock;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Value\Lists;

/** What may be expected of calls like one that was tried: who takes them, while the hours are as they were. */
final class Suggestion
{
    /** Seconds of a promise are told in whole steps. */
    private const STEP = 10;

    /**
     * By what a promise names calls to what is dialled: a number, or the person whose it is in a block.
     *
     * @return string|null its id; null where that is no number, or one of a block of which others lead elsewhere
     */
    public static function names(Plan $plan, string $dialled): ?string
    {
        $number = $plan->dialled($dialled);
        if (!($number instanceof Number)) {
            return null;
        }
        $inBlock = '' === $number->range->extension() ? null : InBlock::of($plan, $number, $dialled);

        return match (true) {
            null === $inBlock => $number->id(),
            $inBlock->isFree => null,
            default => $inBlock->target?->element,
        };
    }

    /** @return Expectation|null null where no promise names such calls */
    public static function of(Trace $trace, Plan $plan): ?Expectation
    {
        $to = self::names($plan, $trace->call->dialled);
        if (null === $to) {
            return null;
        }
        $keys = $lists = [];
        $read = null;
        foreach ($trace->passage->events as $event) {
            $happening = $event->happening;
            if ($happening instanceof Asked && 1 === \strlen($happening->pressed->key ?? '')) {
                $keys[] = (string) $happening->pressed->key;
            } elseif ($happening instanceof CallerToldApart && null !== $happening->list) {
                $lists[] = $happening->list;
            } elseif ($happening instanceof HoursRead && null !== $happening->hours && null !== $happening->reading) {
                $read ??= new ExpectedTimes($happening->hours, [$happening->reading->state]);
            }
        }

        return new Expectation(
            new About('exp_suggested', $plan->nameOf($to)),
            new ExpectedCalls([$to], \array_slice($lists, 0, 1), $keys),
            $read ?? new ExpectedTimes(),
            self::promise(new Course($trace), $plan),
        );
    }

    private static function promise(Course $course, Plan $plan): Promise
    {
        if (Reach::Person === $course->reach || Reach::Queue === $course->reach) {
            $second = Noticed::firstRing($course, null) ?? 0;
            $who =
                array_values(
                    array_filter(
                        $course->takes,
                        static fn(string $id): bool => Lists::has(RingsNever::WHO, $plan->kindOf($id)) &&
                            Noticed::firstRing($course, $id) === $second,
                    ),
                )[0] ?? null;

            return new Rings($who, (intdiv($second, self::STEP) + 1) * self::STEP);
        }
        $outcome = Noticed::outcome($course);
        $prompts = array_filter(
            Noticed::prompts($course),
            static fn(string $id): bool => null !== $plan->get(Prompt::class, $id),
        );

        return match (true) {
            null !== $outcome => new EndsWith([$outcome]),
            [] !== $prompts => new Hears(end($prompts)),
            default => new RingsNever(null),
        };
    }
}
