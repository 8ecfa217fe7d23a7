<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Proof\Endings;
use Meandros\Core\Proof\NotTried;
use Meandros\Core\Proof\Ways\Untried;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\Catalog;
use Meandros\Core\Wording\EndingsReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where there may be other endings than those that are listed, it is said at which step, and why. */
final class NotTriedTest extends TestCase
{
    private const QUEUE = [
        'id' => 'que',
        'kind' => 'queue',
        'name' => 'Queue',
        'members' => [['who' => 'ann', 'tier' => 1]],
    ];
    private const OTHER = ['id' => 'other', 'name' => 'Other'] + self::QUEUE;

    /** @param list<string> $expected */
    #[DataProvider('plans')]
    public function testItSaysWhereAndWhy(
        array $expected,
        PlanBuilder $plan,
        Assumptions $given = new Assumptions(),
    ): void {
        $endings = Endings::of($plan->plan(), PlanBuilder::trial('2026-11-23T10:30', from: '+441632960777'), $given);
        $report = EndingsReport::of($endings, $plan->plan())['notTried'];
        self::assertSame(
            $expected,
            array_map(static fn(array $one): string => \sprintf('%s at %s', $one['why'], $one['step']), $report),
        );
        self::assertSame(
            array_map(static fn(NotTried $one): ?string => $one->journey, $endings->notTried),
            array_column($report, 'journey'),
        );
        self::assertSame([] === $expected, [] === $endings->notTried);
    }

    /** @return iterable<string, array{0: list<string>, 1: PlanBuilder, 2?: Assumptions}> */
    public static function plans(): iterable
    {
        $ring = static fn(string $id, string $whom, int $again = 0): array => [
            'id' => $id,
            'do' => 'ring',
            'target' => $whom,
            'seconds' => 20,
            'againMinutes' => $again,
        ];
        $queue = static fn(string $id, string $queue): array => ['id' => $id, 'do' => 'queue', 'queue' => $queue];
        $park = static fn(string $id, int $seconds): array => [
            'id' => $id,
            'do' => 'park',
            'site' => 'sit_harbour',
            'seconds' => $seconds,
        ];
        $menu = ['id' => 'm1', 'do' => 'menu', 'prompt' => 'prm', 'dial' => ['scope' => 'everybody']];
        $begin = static fn(array ...$steps): PlanBuilder => (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->prompt('prm', 4)
            ->mailbox('mbx')
            ->with(self::QUEUE)
            ->with(self::OTHER)
            ->with([
                'id' => 'sit_harbour',
                'kind' => 'site',
                'name' => 'Harbour',
                'zone' => 'Europe/London',
                'country' => 'GB',
                'language' => 'en',
                'parkPlaces' => ['701'],
            ])
            ->journey('jrn_main', array_values($steps));

        yield 'nothing' => [[], $begin($ring('s1', 'ann'), $queue('s2', 'que'), $park('s3', 60))];
        yield 'a call that is parked for a second' => [[], $begin($park('s1', 1))];
        yield 'rounds' => [[], $begin($ring('s1', 'ann', 1), $ring('s2', 'ben'))];
        yield 'rounds of calls that come back in' => [['rounds at s1'], $begin($ring('s1', '+441632960110', 1))];
        yield 'a queue again' => [
            [],
            $begin($queue('s1', 'que'), $queue('s2', 'que'))->with(
                ['admission' => ['needsAgent' => false]] + self::QUEUE,
            ),
        ];
        yield 'a queue again where agents may have been out of reach' => [
            ['queue-again at s2'],
            $begin($queue('s1', 'que'), $queue('s2', 'que')),
        ];
        yield 'an agent of two queues' => [[], $begin($queue('s1', 'que'), $queue('s2', 'other'))];
        $mobile = [
            'id' => 'mobile',
            'type' => 'outside',
            'label' => 'Mobile',
            'number' => '+447700900123',
            'ownMailbox' => 25,
            'mailboxWhenBusy' => false,
        ];
        yield 'an agent of two queues whose phone may hand the call to its mailbox' => [
            [],
            $begin($queue('s1', 'que'), $queue('s2', 'other'))->with([
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [$mobile],
            ]),
        ];
        yield 'parked twice' => [[], $begin($park('s1', 60), $park('s2', 90))];
        yield 'parked without end' => [['parked-without-end at s1'], $begin($park('s1', 0))];
        $exit = [['on' => 'callback', 'steps' => [['id' => 's2', 'do' => 'say', 'prompt' => 'prm']]]];
        $kept = ['callback' => ['offer' => ['key' => '1']]] + self::QUEUE;
        yield 'a kept place' => [[], $begin($queue('s1', 'que'))->with($kept)];
        yield 'a kept place after which more is heard' => [
            [],
            $begin($queue('s1', 'que') + ['exits' => $exit])->with($kept),
        ];
        yield 'a kept place after which more is heard, where the queue is stated' => [
            ['place-kept at s1'],
            $begin($queue('s1', 'que') + ['exits' => $exit])->with($kept),
            Assumptions::fromData(['queues' => [['queue' => 'que']]]),
        ];
        $closes = [['days' => ['mo'], 'from' => '09:00', 'to' => '10:31', 'state' => 'open']];
        $hours = ['id' => 's2', 'do' => 'hours', 'hours' => 'hrs'];
        yield 'hours that change' => [
            ['changes at s2'],
            $begin(['seconds' => 90] + $ring('s1', 'ann'), $hours)->hours('hrs', $closes),
        ];
        yield 'hours that change when no call comes there' => [
            [],
            $begin(['seconds' => 59] + $ring('s1', 'ann'), $hours)->hours('hrs', $closes),
        ];
        // Beside Ann and Ben.
        foreach ([38 => [], 39 => ['many-people at m1']] as $count => $told) {
            $many = $begin($menu);
            for ($i = 0; $i < $count; ++$i) {
                $many->with([
                    'id' => 'p' . $i,
                    'kind' => 'person',
                    'name' => 'P' . $i,
                    'extension' => (string) (200 + $i),
                    'site' => 'sit_harbour',
                    'phones' => [],
                ]);
            }
            yield "$count people" => [$told, $many];
        }
    }

    public function testEachReasonHasItsWords(): void
    {
        $why = array_map(static fn(Untried $one): string => 'untried.' . $one->value, Untried::cases());
        self::assertEqualsCanonicalizing($why, Catalog::of('endings')->codes());
        array_map(Catalog::of('endings')->say(...), $why);
    }
}
