<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\KeyPress;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Call\QueueState;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Endings;
use Meandros\Core\Proof\NotTried;
use Meandros\Core\Proof\PossibleEnding;
use Meandros\Core\Proof\StepOutlook;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Typing\StepLines;

/** Every way in which a call can end as JSON: the data, and beside it the words. */
final class EndingsReport
{
    /** @return array{notTried: list<array{why: string, words: string, journey: string|null, step: string|null, line: string|null}>, places: int, endings: list<array{ending: array<string, string|null>, words: string, least: int, leastBy: array<string, mixed>, most: int|null, mostBy: array<string, mixed>}>, steps: list<array{journey: string, step: string, endings: list<string>, most: int|null}>} */
    public static function of(Endings $endings, Plan $plan): array
    {
        $names = new Names($plan);

        return [
            'notTried' => array_map(static fn(NotTried $one): array => self::notTried($one, $plan), $endings->notTried),
            'places' => $endings->places,
            'endings' => array_map(
                static fn(PossibleEnding $one): array => [
                    'ending' => $one->ending->toJson(),
                    'words' => self::words($one->ending, $names),
                    'least' => $one->least,
                    'leastBy' => self::acts($one->leastBy),
                    'most' => $one->most,
                    'mostBy' => self::acts($one->mostBy),
                ],
                $endings->endings,
            ),
            'steps' => array_map(
                static fn(StepOutlook $one): array => [
                    'journey' => $one->journey,
                    'step' => $one->step,
                    'endings' => array_map(
                        static fn(Ending $ending): string => self::words($ending, $names),
                        array_values($one->endings),
                    ),
                    'most' => $one->most,
                ],
                $endings->steps,
            ),
        ];
    }

    /** @return array{why: string, words: string, journey: string|null, step: string|null, line: string|null} the step also as it is typed */
    private static function notTried(NotTried $one, Plan $plan): array
    {
        $line = null;
        foreach ($plan->get(Journey::class, (string) $one->journey)?->steps->everyStep('') ?? [] as $step) {
            $line = $step->id() === $one->step ? StepLines::write($step, $plan) : $line;
        }

        return [
            'why' => $one->why->value,
            'words' => Catalog::of('endings')->say('untried.' . $one->why->value),
            'journey' => $one->journey,
            'step' => $one->step,
            'line' => $line,
        ];
    }

    private static function words(Ending $ending, Names $names): string
    {
        $who = $names->of($ending->whom());

        return match ($ending->kind) {
            EndingKind::Answered => $who . ' answers',
            EndingKind::Message => 'a message with ' . $who,
            EndingKind::Announcement => 'the announcement of ' . $who,
            EndingKind::Listens => 'listens to the messages of ' . $who,
            EndingKind::Announced => 'speaks on phones that answer by themselves',
            EndingKind::OwnMailbox => 'lost to the own mailbox of ' . $who,
            EndingKind::Forwarded => 'sent on to ' . $who,
            EndingKind::CallbackKept => 'a place is kept in ' . $who,
            EndingKind::CallbackInVain => 'a place was kept in ' . $who . ', and nobody calls back',
            EndingKind::Fax => 'a fax to ' . $who,
            EndingKind::EndedByPlan => 'the plan ends the call',
            EndingKind::RanOut => 'no step is left',
            EndingKind::CallerGaveUp => 'the caller gives up',
            EndingKind::LoopStopped => 'goes round in a loop',
        };
    }

    /** @return array<string, mixed> as assumptions are stated */
    private static function acts(Assumptions $by): array
    {
        $press = static fn(KeyPress $one): array => ['press' => $one->keys, 'after' => $one->after];

        return [
            'keys' => array_map($press, $by->caller->keys),
            'meanwhile' => array_map($press, $by->caller->meanwhile),
            'phones' => array_map(
                static fn(PhoneAssumption $one): array => [
                    'who' => $one->who,
                    'does' => $one->does->value,
                    'after' => $one->afterSeconds,
                    'from' => $one->from,
                ],
                $by->phones,
            ),
            'patience' => $by->caller->patienceSeconds,
            'fax' => $by->caller->isFax,
            'queues' => array_map(
                static fn(string $queue, QueueState $state): array => ['queue' => $queue] + $state->toJson(),
                array_keys($by->circumstances->queues),
                array_values($by->circumstances->queues),
            ),
            'parked' => $by->parked->toJson(),
        ];
    }
}
