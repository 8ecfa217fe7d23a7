<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Queueing;

use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\SignedOutForMissing;
use Meandros\Core\Routing\Happening\WaitedInVain;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What holds for every queue, whatever is set. */
final class QueueLawTest extends TestCase
{
    private const CASES = 250;
    private const ORDERS = [
        'longest idle first',
        'in order',
        'round robin',
        'fewest calls first',
        'least talk time first',
        'random',
        'all at once',
    ];

    public function testNobodyWaitsLongerThanTheLimitNorIsAskedWhereTheyCannotBe(): void
    {
        $random = new Randomizer(new Mt19937(12));
        $answered = 0;
        for ($i = 0; $i < self::CASES; ++$i) {
            [$plan, $assume, $queue] = self::case($random);
            $trace = $plan->call($assume);
            $label = json_encode([$queue, $assume], \JSON_THROW_ON_ERROR);
            $signedIn = array_column($assume['queues'][0]['agents'], 'signedIn', 'who');
            $free = array_column($assume['queues'][0]['agents'], 'freeAfter', 'who');
            $until = [];
            foreach ($trace->passage->rung as $rung) {
                $who = (string) $rung->phone->owner->person;
                self::assertTrue($signedIn[$who], 'Signed out, and asked: ' . $label);
                self::assertGreaterThanOrEqual($free[$who], $rung->times->from, 'On a call, and asked: ' . $label);
                self::assertGreaterThanOrEqual(
                    isset($until[$who]) ? $until[$who] + $queue['asking']['missedSeconds'] : 0,
                    $rung->times->from,
                    'In a pause, and asked: ' . $label,
                );
                self::assertLessThanOrEqual($queue['waiting']['longestSeconds'], $rung->times->until, $label);
                $until[$who] = $rung->times->until;
            }
            foreach ($trace->passage->events as $event) {
                $out = $event->happening instanceof SignedOutForMissing ? $event->happening->who : null;
                null === $out ||
                    self::assertSame(
                        [],
                        array_filter(
                            $trace->passage->rung,
                            static fn($rung): bool => $rung->phone->owner->person === $out &&
                                $rung->times->until > $event->second,
                        ),
                        'Signed out for missing, and asked: ' . $label,
                    );
                !($event->happening instanceof WaitedInVain) ||
                    self::assertSame($queue['waiting']['longestSeconds'], $event->happening->seconds, $label);
            }
            $answered += EndingKind::Answered === $trace->ending->kind ? 1 : 0;
            self::assertEquals($trace, $plan->call($assume), 'The same call fares the same: ' . $label);
        }
        self::assertGreaterThan(self::CASES / 10, $answered);
        self::assertLessThan((self::CASES * 9) / 10, $answered);
    }

    public function testAQueueOfOneWithoutLimitsAnswersLikeATeamOfOne(): void
    {
        foreach (['answers', 'refuses', 'busy', 'unreachable', 'rings'] as $does) {
            foreach ([0, 3, 20] as $after) {
                $plan = (new PlanBuilder())
                    ->person('ann')
                    ->team('team', ['ann'])
                    ->with([
                        'id' => 'que',
                        'kind' => 'queue',
                        'name' => 'Queue',
                        'members' => [['who' => 'ann']],
                        'asking' => ['alertSeconds' => 20],
                        'waiting' => ['longestSeconds' => 20, 'announceSeconds' => 0],
                    ]);
                $assume = [
                    'phones' => [['who' => 'ann', 'does' => $does, 'after' => $after]],
                    'queues' => [['queue' => 'que', 'free' => 0]],
                ];
                $queued = $plan
                    ->journey('jrn_main', [['id' => 'it', 'do' => 'queue', 'queue' => 'que']])
                    ->call($assume);
                $rung = $plan
                    ->journey('jrn_main', [['id' => 'it', 'do' => 'ring', 'target' => 'team', 'seconds' => 20]])
                    ->call($assume);
                self::assertEquals($rung->ending, $queued->ending);
                EndingKind::Answered !== $rung->ending->kind || self::assertSame($rung->seconds, $queued->seconds);
            }
        }
    }

    /** @return array{PlanBuilder, array<string, mixed>, array<string, mixed>} */
    private static function case(Randomizer $random): array
    {
        $count = $random->getInt(1, 5);
        $plan = new PlanBuilder();
        $members = $agents = $phones = [];
        $tier = 1;
        for ($i = 0; $i < $count; ++$i) {
            $who = 'per_' . $i;
            $plan->person($who);
            $members[] = ['who' => $who, 'tier' => $tier];
            $tier += $random->getInt(0, 1);
            $agents[] = [
                'who' => $who,
                'signedIn' => $random->getInt(0, 3) > 0,
                'freeAfter' => 10 * $random->getInt(0, 12),
                'idle' => $random->getInt(0, 300),
                'calls' => $random->getInt(0, 5),
                'talk' => $random->getInt(0, 600),
            ];
            $phones[] = [
                'who' => $who,
                'does' => ['answers', 'rings', 'rings', 'refuses', 'busy'][$random->getInt(0, 4)],
                'after' => $random->getInt(0, 30),
            ];
        }
        $queue = [
            'members' => $members,
            'asking' => [
                'order' => self::ORDERS[$random->getInt(0, 6)],
                'alertSeconds' => $random->getInt(1, 30),
                'widenSeconds' => $random->getInt(1, 60),
                'spillsOver' => 1 === $random->getInt(0, 1),
                'missedSeconds' => $random->getInt(1, 40),
            ],
            'duty' => 1 === $random->getInt(0, 2) ? ['signOutAfter' => $random->getInt(1, 3)] : [],
            'waiting' => ['longestSeconds' => $random->getInt(1, 200), 'announceSeconds' => $random->getInt(0, 50)],
            'admission' => ['handlingSeconds' => $random->getInt(1, 90)],
        ];
        $plan
            ->with($queue + ['id' => 'que', 'kind' => 'queue', 'name' => 'Queue'])
            ->journey('jrn_main', [['id' => 'it', 'do' => 'queue', 'queue' => 'que']]);

        return [
            $plan,
            [
                'queues' => [['queue' => 'que', 'ahead' => $random->getInt(0, 4), 'agents' => $agents]],
                'phones' => $phones,
            ],
            $queue,
        ];
    }
}
