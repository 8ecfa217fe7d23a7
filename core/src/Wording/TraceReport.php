<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\EachNumber;
use Meandros\Core\Proof\Promised\Suggestion;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Routing\Visit;
use Meandros\Core\Time\Moment;

/** A trace as JSON: the data, and beside it the words. */
final class TraceReport
{
    /**
     * @param string $zone for writing instants
     *
     * @return array{sentence: string, holds: array{since: string|null, until: string|null}, events: list<array{second: int, journey: string|null, step: string|null, kind: string, what: array<string, mixed>, because: array<string, mixed>, shown: array<string, string|null>, text: string, reason: string, whys: list<array{id: string, kind: string, name: string, why: string}>}>, ...<string, mixed>}
     */
    public static function of(Trace $trace, Plan $plan, string $zone): array
    {
        $words = new EventWords($plan);

        return [
            'sentence' => AnswerSentence::of($trace, $plan),
            'ending' => $trace->ending->toJson(),
            'seconds' => $trace->seconds,
            'call' => [
                'to' => $trace->call->dialled,
                'name' => EachNumber::in($plan, $trace->call->dialled)?->name(),
                'named' => Suggestion::names($plan, $trace->call->dialled),
                'from' => $trace->call->caller->text,
                'at' => Moment::format($trace->call->instant, $zone),
                'zone' => $zone,
            ],
            'shown' => $trace->shown->toJson(),
            'holds' => [
                'since' => null === $trace->holds->since ? null : Moment::format($trace->holds->since, $zone),
                'until' => null === $trace->holds->until ? null : Moment::format($trace->holds->until, $zone),
            ],
            'visits' => array_map(static fn(Visit $visit): array => $visit->toJson(), $trace->passage->visits),
            'rung' => array_map(static fn(Rung $rung): array => $rung->toJson(), $trace->passage->rung),
            'events' => array_map(
                static fn(Event $event): array => [
                    'second' => $event->second,
                    'journey' => $event->journey,
                    'step' => $event->step,
                    'kind' => $event->happening->kind(),
                    'what' => $event->happening->what(),
                    'because' => $event->happening->because(),
                    'shown' => $event->shown->toJson(),
                    'text' => $words->what($event->happening),
                    'reason' => trim($words->because($event->happening) . ' ' . $words->shown($event, $trace)),
                    'whys' => $words->whys($event),
                ],
                $trace->passage->events,
            ),
        ];
    }
}
