<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Happening\Over;
use Meandros\Core\Routing\Stop;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\EventWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Calls that wait at a place of the harbour, 701 or 702, until somebody dials it. */
final class ParkTest extends TestCase
{
    use ToldSteps;

    /**
     * @param array<string, mixed> $step
     * @param array<string, mixed> $parked
     * @param list<string>         $told
     */
    #[DataProvider('calls')]
    public function testWhatHappens(array $step, array $parked, array $told, string $sentence): void
    {
        $plan = self::plan($step);
        self::assertSame($told, self::told($plan, ['parked' => $parked]));
        self::assertSame($sentence, AnswerSentence::of($plan->call(['parked' => $parked]), $plan->plan()));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, list<string>, string}> */
    public static function calls(): iterable
    {
        yield 'nobody takes it' => [
            [],
            [],
            ['0 Is parked at 701', '60 Rings Ben for 5 s', '65 Leaves a message with mbx'],
            'Is parked at 701, rings Ben for 5 s, then leaves a message with mbx.',
        ];
        yield 'somebody does' => [
            [],
            ['takenAfter' => 40, 'by' => 'ann'],
            ['0 Is parked at 701, and taken after 40 s'],
            'Is parked at 701, and taken after 40 s, then talks to Ann.',
        ];
        yield 'nobody knows who' => [
            [],
            ['takenAfter' => 0],
            ['0 Is parked at 701, and taken after 0 s'],
            'Is parked at 701, and taken after 0 s, then talks to Harbour.',
        ];
        yield 'until it is taken' => [
            ['seconds' => 0],
            ['takenAfter' => 900],
            ['0 Is parked at 701, and taken after 15 min'],
            'Is parked at 701, and taken after 15 min, then talks to Harbour.',
        ];
        yield 'too late' => [
            [],
            ['takenAfter' => 60],
            ['0 Is parked at 701', '60 Rings Ben for 5 s', '65 Leaves a message with mbx'],
            'Is parked at 701, rings Ben for 5 s, then leaves a message with mbx.',
        ];
        yield 'the first place is taken' => [
            [],
            ['taken' => ['701'], 'takenAfter' => 9],
            ['0 Is parked at 702, and taken after 9 s'],
            'Is parked at 702, and taken after 9 s, then talks to Harbour.',
        ];
        yield 'all are' => [
            [],
            ['taken' => ['701', '702'], 'takenAfter' => 9],
            ['0 No park place of Harbour is free', '0 Leaves a message with mbx'],
            'No park place of Harbour is free, then leaves a message with mbx.',
        ];
        yield 'the one that is meant is' => [
            ['place' => '702'],
            ['taken' => ['702']],
            ['0 No park place of Harbour is free', '0 Leaves a message with mbx'],
            'No park place of Harbour is free, then leaves a message with mbx.',
        ];
        yield 'a place that there is not' => [
            ['place' => '799'],
            [],
            ['0 No park place of Harbour is free', '0 Leaves a message with mbx'],
            'No park place of Harbour is free, then leaves a message with mbx.',
        ];
    }

    public function testACallWaitsForAsLongAsATrialCallIsFollowed(): void
    {
        $trace = self::plan(['seconds' => 0])->call();
        $over = $trace->passage->events[\count($trace->passage->events) - 1]->happening;
        self::assertSame([14400, Stop::Seconds], [$trace->seconds, $over instanceof Over ? $over->stop : null]);
    }

    public function testWhyThatPlaceIsSaid(): void
    {
        $why = static fn(array $step): string => (new EventWords(self::plan($step)->plan()))->because(
            self::plan($step)->call()->passage->events[1]->happening,
        );
        self::assertSame('The first place of Harbour that is free. Whoever dials 701 takes the call.', $why([]));
        self::assertSame('The place that is meant. Whoever dials 702 takes the call.', $why(['place' => '702']));
    }

    public function testAPlaceIsNoNumberToCallAndNobodysExtension(): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('/to: park-place-called {"place":"701","site":"Harbour"}');
        self::plan([])->call([], '2026-11-23T10:30', '701');
    }

    /** @param array<string, mixed> $step */
    private static function plan(array $step): PlanBuilder
    {
        $then = ['on' => 'not taken', 'steps' => [['id' => 'back', 'do' => 'ring', 'target' => 'ben', 'seconds' => 5]]];

        return (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->mailbox('mbx')
            ->with([
                'id' => 'sit_harbour',
                'kind' => 'site',
                'name' => 'Harbour',
                'zone' => 'Europe/London',
                'country' => 'GB',
                'language' => 'en',
                'parkPlaces' => ['701', '702'],
            ])
            ->journey('jrn_main', [
                $step + ['id' => 'it', 'do' => 'park', 'site' => 'sit_harbour', 'seconds' => 60, 'exits' => [$then]],
                ['id' => 'last', 'do' => 'message', 'mailbox' => 'mbx'],
            ]);
    }
}
