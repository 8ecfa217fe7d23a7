<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\EventWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Calls that are sent on for good. */
final class ForwardTest extends TestCase
{
    private const TO = '+447700900155';

    /** @param array<string, mixed> $assume */
    #[DataProvider('calls')]
    public function testWhatHappens(PlanBuilder $plan, array $assume, string $sentence, string $why): void
    {
        $trace = $plan->call($assume);
        self::assertSame($sentence, AnswerSentence::of($trace, $plan->plan()));
        self::assertSame($why, (new EventWords($plan->plan()))->because($trace->passage->events[1]->happening));
    }

    /** @return iterable<string, array{PlanBuilder, array<string, mixed>, string, string}> */
    public static function calls(): iterable
    {
        $line = static fn(string $id, string ...$destinations): array => [
            'id' => $id,
            'kind' => 'line',
            'name' => ucfirst($id),
            'site' => 'sit_harbour',
            'prefix' => '',
            'destinations' => array_values($destinations),
            'channels' => 2,
        ];
        $does = static fn(string $does): array => ['phones' => [['who' => self::TO, 'does' => $does]]];
        $sent = 'Is sent on to +44 7700 900155.';
        yield 'nothing is known of lines' => [self::plan(), [], $sent, 'For good.'];
        yield 'by the first line that may, showing a number of ours' => [
            self::plan(['shows' => 'num_main'])
                ->with($line('one', 'national'))
                ->with($line('two', 'mobile')),
            [],
            $sent,
            'For good, by Two, showing +44 1632 960100.',
        ];
        yield 'by the one that is set' => [
            self::plan(['line' => 'two'])
                ->with($line('one', 'mobile'))
                ->with($line('two', 'mobile')),
            [],
            $sent,
            'For good, by Two.',
        ];
        $not = 'Is not sent on to +44 7700 900155, then leaves a message with mbx.';
        yield 'by none' => [
            self::plan()->with($line('one', 'national')),
            [],
            $not,
            'No outside line may carry the call, or all channels are taken.',
        ];
        yield 'all channels are taken' => [
            self::plan()->with($line('one', 'mobile')),
            ['lines' => [['line' => 'one', 'taken' => 2]]],
            $not,
            'No outside line may carry the call, or all channels are taken.',
        ];
        yield 'the only channel of another site' => [
            self::plan()
                ->with(['channels' => 1, 'site' => 'sit_quay'] + $line('one', 'mobile'))
                ->with(['id' => 'sit_quay', 'name' => 'Quay'] + self::plan()->element('sit_harbour')),
            [],
            $sent,
            'For good, by One.',
        ];
        yield 'busy' => [self::plan(), $does('busy'), $not, 'It is busy.'];
        yield 'out of reach' => [self::plan(), $does('unreachable'), $not, 'It cannot be reached.'];
        yield 'the exit' => [
            self::plan(['exits' => [['on' => 'busy', 'steps' => [['id' => 'end', 'do' => 'end']]]]]),
            $does('busy'),
            'Is not sent on to +44 7700 900155, then the plan ends the call.',
            'It is busy.',
        ];
        yield 'to nobody' => [self::plan(['number' => null]), [], 'Leaves a message with mbx.', 'No number is chosen.'];
        $own = self::plan(['number' => '+441632960150'])
            ->person('ann')
            ->with([
                'id' => 'num_two',
                'kind' => 'number',
                'name' => 'Two',
                'number' => '+441632960150',
                'site' => 'sit_harbour',
                'language' => 'en',
                'target' => 'ann',
            ]);
        yield 'to one of our own' => [
            $own,
            [],
            'Comes back in by Two, rings Ann for 25 s, then leaves a message with mbx.',
            'It is one of our own numbers, so the call leaves by no line.',
        ];
    }

    /** @param array<string, mixed> $step */
    private static function plan(array $step = []): PlanBuilder
    {
        return (new PlanBuilder())
            ->mailbox('mbx')
            ->journey('jrn_main', [
                $step + ['id' => 'on', 'do' => 'forward', 'number' => self::TO],
                ['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx'],
            ]);
    }
}
