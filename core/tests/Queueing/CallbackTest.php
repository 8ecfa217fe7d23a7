<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Queueing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\AssumptionCheck;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\EventWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Callers who keep their place and are called back; each second worked out by hand. */
final class CallbackTest extends TestCase
{
    use ToldWaits;

    private const FROM = '+441632960999';
    private const KEPT = 'Presses 5, keeps the place and is to be called back on +44 1632 960999';

    /**
     * @param array<string, mixed> $callback
     * @param array<string, mixed> $state
     * @param list<string>         $told
     */
    #[DataProvider('callbacks')]
    public function testWhatHappens(array $callback, array $state, array $told, string $ending): void
    {
        $plan = self::waiting($callback);
        $assume = [
            'queues' => [['queue' => 'que'] + $state],
            'phones' => [['who' => '*', 'does' => 'answers', 'after' => 4]],
        ];
        $trace = $plan->call($assume, from: self::FROM);
        $words = new EventWords($plan->plan());
        $all = array_map(
            static fn($event): string => $event->second . ' ' . $words->what($event->happening),
            \array_slice($trace->passage->events, 2),
        );
        self::assertSame([...$told, $trace->seconds . ' ' . $ending], $all);
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, list<string>, string}> */
    public static function callbacks(): iterable
    {
        $offer = ['key' => '5', 'afterSeconds' => 30];
        $hears = '30 Hears that 5 keeps the place';
        // Ann is free at 100, answers after 4 s, and the caller picks up after 6 s.
        yield 'called back when it is their turn' => [
            ['offer' => $offer],
            ['free' => 100, 'keeps' => 40, 'picksUp' => 6],
            [
                $hears,
                '40 ' . self::KEPT,
                '100 Rings Ann, answered after 4 s',
                '104 Is called back on +44 1632 960999, and answers after 6 s',
            ],
            'Talks to Ann',
        ];
        yield 'the key counts from the offer on' => [
            ['offer' => $offer],
            ['free' => 100, 'keeps' => 2, 'picksUp' => 6],
            [
                $hears,
                '30 ' . self::KEPT,
                '100 Rings Ann, answered after 4 s',
                '104 Is called back on +44 1632 960999, and answers after 6 s',
            ],
            'Talks to Ann',
        ];
        // One ahead takes Ann at 50 for 180 s and 10 s of notes.
        yield 'the place is kept behind whoever is ahead' => [
            ['offer' => $offer],
            ['ahead' => 1, 'free' => 50, 'keeps' => 40, 'picksUp' => 0],
            [
                $hears,
                '40 ' . self::KEPT,
                '240 Rings Ann, answered after 4 s',
                '244 Is called back on +44 1632 960999, and answers after 0 s',
            ],
            'Talks to Ann',
        ];
        // Ann is asked at 60; try 1 rings 64–84; 100 s later she is asked again, being free since 74.
        yield 'at the second try' => [
            ['offer' => $offer, 'calls' => ['pauseSeconds' => 100, 'ringSeconds' => 20]],
            ['free' => 60, 'keeps' => 40, 'picksUp' => 3, 'onTry' => 2],
            [
                $hears,
                '40 ' . self::KEPT,
                '60 Rings Ann, answered after 4 s',
                '64 Is called back on +44 1632 960999 for 20 s in vain',
                '184 Rings Ann, answered after 4 s',
                '188 Is called back on +44 1632 960999, and answers after 3 s',
            ],
            'Talks to Ann',
        ];
        yield 'and not at all' => [
            ['offer' => $offer, 'calls' => ['tries' => 1, 'ringSeconds' => 20]],
            ['free' => 60, 'keeps' => 40],
            [
                $hears,
                '40 ' . self::KEPT,
                '60 Rings Ann, answered after 4 s',
                '64 Is called back on +44 1632 960999 for 20 s in vain',
            ],
            'Kept a place and is not reached',
        ];
        yield 'who picks up when it has stopped ringing has missed it' => [
            ['offer' => $offer, 'calls' => ['tries' => 1, 'ringSeconds' => 20]],
            ['free' => 60, 'keeps' => 40, 'picksUp' => 20],
            [
                $hears,
                '40 ' . self::KEPT,
                '60 Rings Ann, answered after 4 s',
                '64 Is called back on +44 1632 960999 for 20 s in vain',
            ],
            'Kept a place and is not reached',
        ];
        yield 'a place is kept for so long' => [
            ['offer' => $offer, 'window' => ['keptMinutes' => 5]],
            ['keeps' => 40],
            [$hears, '40 ' . self::KEPT],
            'Kept a place and is not reached',
        ];
        yield 'whoever has waited longest is called back' => [
            ['offer' => ['atTheEnd' => true]],
            ['free' => 400, 'picksUp' => 1],
            [
                '300 Keeps the place and is to be called back on +44 1632 960999',
                '400 Rings Ann, answered after 4 s',
                '404 Is called back on +44 1632 960999, and answers after 1 s',
            ],
            'Talks to Ann',
        ];
        yield 'what confirms it is heard before they hang up' => [
            ['offer' => $offer + ['confirm' => 'prm_hello']],
            ['free' => 100, 'keeps' => 40, 'picksUp' => 6],
            [
                $hears,
                '40 ' . self::KEPT,
                '40 Hears “prm_hello”',
                '100 Rings Ann, answered after 4 s',
                '104 Is called back on +44 1632 960999, and answers after 6 s',
            ],
            'Talks to Ann',
        ];
        // Ann is free at 41, and the caller is told for 4 s before they hang up.
        yield 'and nobody calls before that' => [
            ['offer' => $offer + ['confirm' => 'prm_hello']],
            ['free' => 41, 'keeps' => 40, 'picksUp' => 6],
            [
                $hears,
                '40 ' . self::KEPT,
                '40 Hears “prm_hello”',
                '44 Rings Ann, answered after 4 s',
                '48 Is called back on +44 1632 960999, and answers after 6 s',
            ],
            'Talks to Ann',
        ];
        // Open until 10:35, the call comes at 10:30.
        yield 'at closing time places are kept' => [
            ['offer' => $offer, 'window' => ['hours' => 'hrs']],
            ['free' => 500, 'keeps' => 40],
            [$hears, '40 ' . self::KEPT, '300 hrs: Closed, so nobody is called back'],
            'Keeps a place, to be called back',
        ];
        yield 'or given up' => [
            ['offer' => $offer, 'window' => ['hours' => 'hrs', 'overnight' => false]],
            ['free' => 500, 'keeps' => 40],
            [$hears, '40 ' . self::KEPT, '300 hrs: Closed, so nobody is called back'],
            'Kept a place and is not reached',
        ];
        yield 'somebody answers before the key is pressed' => [
            ['offer' => $offer],
            ['free' => 10, 'keeps' => 40],
            ['10 Rings Ann, answered after 4 s'],
            'Talks to Ann',
        ];
    }

    public function testTheSentence(): void
    {
        $plan = self::waiting(['offer' => ['key' => '5', 'afterSeconds' => 30]]);
        $assume = [
            'queues' => [['queue' => 'que', 'free' => 100, 'keeps' => 40, 'picksUp' => 6]],
            'phones' => [['who' => '*', 'does' => 'answers', 'after' => 4]],
        ];
        self::assertSame(
            'Waits in Desk, keeps the place after 40 s, rings Ann and is answered after 4 s, is called back and answers after 6 s, then talks to Ann.',
            AnswerSentence::of($plan->call($assume, from: self::FROM), $plan->plan()),
        );
    }

    /** Stays in the call until they hang up, whatever their patience. */
    public function testPatienceEndsWithHangingUp(): void
    {
        $plan = self::waiting(['offer' => ['key' => '5', 'afterSeconds' => 30]]);
        $assume = [
            'patience' => 60,
            'queues' => [['queue' => 'que', 'free' => 100, 'keeps' => 40, 'picksUp' => 6]],
            'phones' => [['who' => '*', 'does' => 'answers', 'after' => 4]],
        ];
        self::assertSame('answered', $plan->call($assume, from: self::FROM)->ending->kind->value);
    }

    public function testWhatTheExitListsIsHeardBeforeTheCallerHangsUpAndNothingAfterIt(): void
    {
        $plan = self::waiting(
            ['offer' => ['key' => '5', 'afterSeconds' => 30]],
            [['on' => 'callback', 'steps' => [['id' => 'thanks', 'do' => 'say', 'prompt' => 'prm_hello']]]],
        );
        $trace = $plan->call(['queues' => [['queue' => 'que', 'keeps' => 40]]], from: self::FROM);
        self::assertSame(
            ['wait', 'thanks', 'wait'],
            array_map(static fn($visit): string => $visit->step, $trace->passage->visits),
            'No message is left.',
        );
    }

    public function testNothingIsOfferedToWhoeverCannotBeCalledBack(): void
    {
        $plan = self::waiting(['offer' => ['key' => '5', 'afterSeconds' => 30, 'atTheEnd' => true]]);
        $kinds = static fn(PlanBuilder $plan, string $from): array => array_map(
            static fn($event): string => $event->happening->kind(),
            $plan->call([], from: $from)->passage->events,
        );
        self::assertNotContains('callback offered', $kinds($plan, ''), 'withheld');
        self::assertContains('message', $kinds($plan, ''), 'They go on instead.');
        self::assertContains('callback offered', $kinds($plan, self::FROM));
        self::assertContains('callback offered', $kinds($plan, '201'), 'an extension');
        $line = [
            'id' => 'line',
            'kind' => 'line',
            'name' => 'Trunk',
            'site' => 'sit_harbour',
            'prefix' => '',
            'destinations' => ['international'],
            'channels' => 1,
        ];
        self::assertNotContains('callback offered', $kinds($plan->with($line), self::FROM), 'No line may carry it.');
    }

    #[TestWith([PlanBuilder::NUMBER, '+44 1632 960100'])]
    #[TestWith(['+441632960203', '+44 1632 960203'])]
    public function testTheLineAndTheNumberShown(string $dialled, string $shown): void
    {
        $plan = self::waiting(['offer' => ['key' => '5'], 'calls' => ['tries' => 1, 'line' => 'two']])
            ->with([
                'id' => 'one',
                'kind' => 'line',
                'name' => 'One',
                'site' => 'sit_harbour',
                'prefix' => '',
                'destinations' => ['national', 'local'],
                'channels' => 1,
            ])
            ->with([
                'id' => 'two',
                'kind' => 'line',
                'name' => 'Two',
                'site' => 'sit_harbour',
                'prefix' => '',
                'destinations' => ['national', 'local'],
                'channels' => 1,
            ])
            ->with([
                'id' => 'num_block',
                'kind' => 'number',
                'name' => 'Block',
                'number' => '+441632960200',
                'site' => 'sit_harbour',
                'target' => 'jrn_main',
                'block' => ['last' => '+441632960209', 'extension' => ''],
            ]);
        $trace = $plan->call(
            [
                'queues' => [['queue' => 'que', 'free' => 100, 'keeps' => 60]],
                'phones' => [['who' => '*', 'does' => 'answers', 'after' => 4]],
            ],
            to: $dialled,
            from: self::FROM,
        );
        $tried = array_values(
            array_filter(
                $trace->passage->events,
                static fn($event): bool => 'called back in vain' === $event->happening->kind(),
            ),
        )[0];
        self::assertSame(
            'Try 1 of 1, by Two, showing ' . $shown . '.',
            (new EventWords($plan->plan()))->because($tried->happening),
        );
    }

    public function testKeepingAPlaceWithAWithheldNumberIsRefused(): void
    {
        $plan = self::waiting(['offer' => ['key' => '5']])->plan();
        $assumptions = Assumptions::fromData(['queues' => [['queue' => 'que', 'keeps' => 5]]]);
        AssumptionCheck::check($plan, $assumptions, PlanBuilder::trial('2026-11-23T10:30', from: self::FROM));
        try {
            AssumptionCheck::check($plan, $assumptions, PlanBuilder::trial('2026-11-23T10:30'));
            self::fail();
        } catch (InvalidData $invalid) {
            self::assertSame('/queues/0/keeps', $invalid->problems[0]->pointer);
        }
    }

    /**
     * @param array<string, mixed>       $callback
     * @param list<array<string, mixed>> $exits
     */
    private static function waiting(array $callback, array $exits = []): PlanBuilder
    {
        return self::plan(['waiting' => ['announceSeconds' => 0], 'callback' => $callback])
            ->hours('hrs', [['days' => ['mo'], 'from' => '09:00', 'to' => '10:35', 'state' => 'open']])
            ->journey('jrn_main', [
                ['id' => 'wait', 'do' => 'queue', 'queue' => 'que', 'exits' => $exits],
                ['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx'],
            ]);
    }
}
