<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\EventWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Calls straight to what no number leads to yet. */
final class TriedTest extends TestCase
{
    #[DataProvider('targets')]
    public function testACallStraightToIt(string $to, string $sentence, string $label): void
    {
        $plan = self::plan();
        $trace = $plan->call([], '2026-11-23T10:30', $to);
        self::assertSame([$sentence, $label], [AnswerSentence::of($trace, $plan->plan()), $trace->shown->label]);
        $words = new EventWords($plan->plan());
        self::assertStringStartsWith('A call comes straight to ', $words->what($trace->passage->events[0]->happening));
        self::assertSame(
            'It is tried as if a number of the first site led there.',
            $words->because($trace->passage->events[0]->happening),
        );
    }

    /** @return iterable<array{string, string, string}> */
    public static function targets(): iterable
    {
        yield ['jrn_new', 'Rings Ann for 20 s, then leaves a message with mbx.', 'jrn_new'];
        yield ['ann', 'Rings Ann for 25 s, then leaves a message with mbx.', 'Ann'];
        yield ['mbx', 'Leaves a message with mbx.', 'mbx'];
        yield ['que', 'Is not let into que, then the call ends because no step is left.', 'que'];
    }

    public function testNothingElseCanBeTried(): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('/to: not-dialled {"number":"prm"}');
        self::plan()->call([], '2026-11-23T10:30', 'prm');
    }

    private static function plan(): PlanBuilder
    {
        return (new PlanBuilder())
            ->prompt('prm', 2)
            ->mailbox('mbx')
            ->person('ann', ['desk'], 'mbx')
            ->with(['id' => 'que', 'kind' => 'queue', 'name' => 'que', 'members' => []])
            ->journey('jrn_new', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20],
                ['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx'],
            ]);
    }
}
