<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\KeyPress;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Proof\Endings;
use Meandros\Core\Proof\PossibleEnding;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** A step to which calls come in two ways is taken once for both where they are alike, and by itself where something counts that differs. */
final class TakenTest extends TestCase
{
    use HoldsEndings;

    /** @param list<string> $told */
    #[TestWith([1, 2, '', ['ran out of steps  0 14', 'ended by plan  20 24', 'caller gave up  1 24']])]
    #[TestWith([2, 1, '', ['ran out of steps  0 24', 'ended by plan  10 14', 'caller gave up  1 24']])]
    #[TestWith([1, 2, ' {date}', ['ran out of steps  0 17', 'ended by plan  22 26', 'caller gave up  1 26']])]
    #[TestWith([2, 1, ' {date}', ['ran out of steps  0 26', 'ended by plan  13 17', 'caller gave up  1 26']])]
    public function testInAnotherLanguageItTakesLonger(int $one, int $other, string $blank, array $told): void
    {
        $in = static fn(string $language): array => ['id' => $language, 'do' => 'tag', 'language' => $language];
        $plan = self::plan([$one => [$in('fr')], $other => [$in('en')]], [self::say('long')])->with([
            'id' => 'long',
            'kind' => 'prompt',
            'name' => 'Long',
            'scripts' => ['en' => str_repeat('word ', 25) . $blank, 'fr' => str_repeat('mot ', 50) . $blank],
        ]);
        $call = PlanBuilder::trial('2026-11-23T10:30');
        self::assertSame($told, self::held($plan, $call));
    }

    /** Ann is busy at once. Ben is rung, and it is no matter what he does, but for the second in which Ann is rung again. */
    public function testWhoIsBusyRingsASecondLater(): void
    {
        $message = ['id' => 's4', 'do' => 'message', 'mailbox' => 'mbx'];
        $ring = static fn(string $id, string $who, array $exits = []): array => [
            'id' => $id,
            'do' => 'ring',
            'target' => $who,
            'seconds' => 20,
            'exits' => $exits,
        ];
        $again = [$ring('s2', 'ben'), $ring('s3', 'ann', [['on' => 'nobody', 'steps' => [$message]]])];
        $plan = (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->mailbox('mbx')
            ->journey('jrn_main', [$ring('s1', 'ann', [['on' => 'busy', 'steps' => $again]])])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertContains('message mbx 21 40', self::told($endings));
    }

    /**
     * They are open for those who come in the very second, and closed for those who come before.
     *
     * @param list<string> $told
     */
    #[TestWith([1, 2, ['ran out of steps  0 34', 'ended by plan  10 14']])]
    #[TestWith([2, 1, ['ran out of steps  0 14', 'ended by plan  30 34']])]
    public function testHoursChangeInBetween(int $one, int $other, array $told): void
    {
        $hours = [
            'id' => 'hours',
            'do' => 'hours',
            'hours' => 'hrs_desk',
            'exits' => [['on' => 'closed', 'steps' => [self::say('late')]]],
        ];
        $plan = self::plan([$one => [], $other => [self::say('long')]], [$hours])
            ->prompt('late', 10)
            ->prompt('long', 30)
            ->hours('hrs_desk', [['days' => ['mo'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open']]);
        $call = PlanBuilder::trial('2026-11-23T08:59:30');
        self::assertSame([...$told, 'caller gave up  1 34'], self::held($plan, $call));
    }

    /** Whoever keeps a place goes on with what comes after, and is called back from there. */
    #[TestWith([1, 2])]
    #[TestWith([2, 1])]
    public function testWhatComesAfterAKeptPlace(int $one, int $other): void
    {
        $queue = [
            'id' => 'que',
            'kind' => 'queue',
            'name' => 'Desk',
            'members' => [['who' => 'ann']],
            'waiting' => ['longestSeconds' => 20, 'announceSeconds' => 0],
            'admission' => ['needsAgent' => false],
            'callback' => [
                'offer' => ['key' => '5', 'afterSeconds' => 5],
                'calls' => ['tries' => 1, 'ringSeconds' => 10],
                'window' => ['keptMinutes' => 1],
            ],
        ];
        $after = [$one => [], $other => [self::say('long')]];
        $exit = static fn(string $on): array => ['on' => $on, 'steps' => [['id' => $on, 'do' => 'end']]];
        $exits = [['on' => '3', 'steps' => [['id' => 'again', 'do' => 'again']]], $exit('nothing'), $exit('wrong')];
        $thanks = ['id' => 'thanks', 'do' => 'go', 'journey' => 'thanks', 'comesBack' => false];
        $in = [
            'id' => 'in',
            'do' => 'queue',
            'queue' => 'que',
            'exits' => [$exit('waited'), ['on' => 'callback', 'steps' => [$thanks]]],
        ];
        $plan = self::plan([1 => [], 2 => []], [$in], $after, $exits)
            ->prompt('long', 30)
            ->journey('thanks', [self::say('prm')])
            ->person('ann')
            ->with($queue);
        self::assertSame(
            ['ended by plan  0 -', 'answered ann 0 -', 'callback in vain que 16 -', 'caller gave up  1 -'],
            self::held($plan, PlanBuilder::trial('2026-11-23T10:30', from: '+441632960777')),
        );
    }

    /**
     * What was put on a call counts where it comes in once more, by a number of another language; nowhere else, where that is its language anyway.
     *
     * @param list<string> $told
     */
    #[TestWith(['say', 5, ['ran out of steps  0 14', 'caller gave up  1 14']])]
    #[TestWith(['forward', 6, ['ran out of steps  0 24', 'caller gave up  1 24']])]
    public function testItsOwnLanguageIsPutOnIt(string $does, int $places, array $told): void
    {
        $tag = ['id' => 'tag', 'do' => 'tag', 'language' => 'en'];
        $go = static fn(string $id): array => ['id' => $id, 'do' => 'go', 'journey' => 'step'];
        $builder = (new PlanBuilder())
            ->prompt('prm', 2)
            ->with([
                'id' => 'long',
                'kind' => 'prompt',
                'name' => 'Long',
                'scripts' => ['en' => str_repeat('word ', 25), 'fr' => str_repeat('mot ', 50)],
            ])
            ->with([
                'id' => 'num_french',
                'kind' => 'number',
                'name' => 'French',
                'site' => 'sit_harbour',
                'number' => '+441632960904',
                'language' => 'fr',
                'target' => RandomPlans::BEHIND_OWN_NUMBER,
            ])
            ->journey('jrn_main', [
                [
                    'id' => 'menu',
                    'do' => 'menu',
                    'prompt' => 'prm',
                    'wait' => 3,
                    'tries' => 1,
                    'exits' => [['on' => '1', 'steps' => [$tag, $go('one')]], ['on' => '2', 'steps' => [$go('two')]]],
                ],
            ])
            ->journey('step', [
                'say' === $does ? self::say('long') : ['id' => 'on', 'do' => 'forward', 'number' => '+441632960904'],
            ])
            ->journey(RandomPlans::BEHIND_OWN_NUMBER, [self::say('long')]);
        $call = PlanBuilder::trial('2026-11-23T10:30');
        self::assertSame($told, self::held($builder, $call));
        self::assertSame($places, Endings::of($builder->plan(), $call)->places);
    }

    /** Ann has just refused: by a key that is pressed at once she is rung in that very second; by the same a second later she may be out of reach. */
    public function testAKeyIsPressedAtOnceOrLater(): void
    {
        $end = static fn(string $on): array => ['on' => $on, 'steps' => [['id' => $on, 'do' => 'end']]];
        $exits = array_map($end, ['unreachable', 'busy', 'nobody']);
        $ring = ['do' => 'ring', 'target' => 'ann', 'seconds' => 10];
        $message = ['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx'];
        $again = $ring + ['id' => 'second', 'exits' => [['on' => 'unreachable', 'steps' => [$message]]]];
        $menu = [
            'id' => 'menu',
            'do' => 'menu',
            'prompt' => 'prm',
            'wait' => 3,
            'tries' => 1,
            'exits' => [['on' => '1', 'steps' => [$again, ['id' => 'end', 'do' => 'end']]]],
        ];
        $builder = (new PlanBuilder())
            ->person('ann')
            ->prompt('prm', 2)
            ->mailbox('mbx', 'prm')
            ->journey('jrn_main', [['id' => 'first', 'seconds' => 1, 'exits' => $exits] + $ring, $menu]);
        self::assertSame(
            [
                'answered ann 0 13',
                'ended by plan  0 14',
                'ran out of steps  0 5',
                'message mbx 1 6',
                'caller gave up  1 14',
            ],
            self::held($builder, PlanBuilder::trial('2026-11-23T10:30')),
        );
    }

    /** No call lasts for longer than four hours: a key that is pressed later is not taken. */
    public function testAKeyIsPressedTooLate(): void
    {
        $menu = [
            'id' => 'menu',
            'do' => 'menu',
            'prompt' => 'prm',
            'wait' => 5,
            'tries' => 2,
            'exits' => [['on' => '1', 'steps' => [['id' => 'end', 'do' => 'end']]]],
        ];
        $say = static fn(int $i): array => ['id' => 'say' . $i, 'do' => 'say', 'prompt' => 'long'];
        $plan = (new PlanBuilder())
            ->prompt('prm', 2)
            ->prompt('long', 300)
            ->prompt('rest', (TrialCall::MOST_SECONDS % 300) + 290)
            ->journey('jrn_main', [
                ...array_map($say, range(1, intdiv(TrialCall::MOST_SECONDS, 300) - 1)),
                self::say('rest'),
                $menu,
            ])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        self::reproduce($plan, $call, $endings);
        self::assertSame(
            [
                'ran out of steps  14390 14397',
                'ended by plan  14390 14390',
                'loop stopped  14400 14400',
                'caller gave up  1 14400',
            ],
            self::told($endings),
        );
    }

    /** Whom callers ask for is rung by those who do so at once; those who take their time come to their mailbox, as it is closed by then. */
    public function testHoursCloseWhileCallersDial(): void
    {
        $dial = ['scope' => 'some', 'people' => ['ann'], 'hours' => 'hrs_desk'];
        $menu = ['id' => 'menu', 'do' => 'menu', 'prompt' => 'prm', 'wait' => 5, 'tries' => 2, 'dial' => $dial];
        $ann = ['extension' => '201', 'mailbox' => 'mbx'];
        $plan = (new PlanBuilder())
            ->prompt('prm', 10)
            ->mailbox('mbx')
            ->person('ann')
            ->with($ann + (new PlanBuilder())->person('ann')->element('ann'))
            ->journey('jrn_main', [$menu])
            ->hours('hrs_desk', [['days' => ['mo'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open']]);
        $call = PlanBuilder::trial('2026-11-23T16:59:50');
        $endings = Endings::of($plan->plan(), $call);
        self::reproduce($plan->plan(), $call, $endings);
        self::assertSame(
            ['ran out of steps  0 80', 'answered ann 2 26', 'message mbx 2 59', 'caller gave up  1 80'],
            self::told($endings),
        );
    }

    /** By one key there is another menu before it: of ways that are as short it is told the one by which less has to be said. */
    #[TestWith([1, 2])]
    #[TestWith([2, 1])]
    public function testTheSimplestOfTheSoonestWays(int $short, int $long): void
    {
        $menu = [
            'id' => 'menu2',
            'do' => 'menu',
            'prompt' => 'prm',
            'wait' => 3,
            'tries' => 1,
            'exits' => [['on' => '7', 'steps' => []], ['on' => 'nothing', 'steps' => [['id' => 'out', 'do' => 'end']]]],
        ];
        $ring = ['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 10];
        $plan = self::plan([$short => [], $long => [$menu]], [$ring], [1 => [], 2 => []])
            ->person('ann')
            ->plan();
        $answered = array_values(
            array_filter(
                Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'))->endings,
                static fn(PossibleEnding $one): bool => 'ann' === $one->ending->who,
            ),
        );
        $pressed = array_map(static fn(KeyPress $one): string => $one->keys, $answered[0]->leastBy->caller->keys);
        self::assertSame([0, [(string) $short]], [$answered[0]->least, $pressed]);
    }

    /** By one key Ann is rung again at once: who refused in that very second does so still, and may be out of reach a second later. */
    #[TestWith([1, 2])]
    #[TestWith([2, 1])]
    public function testWhoIsRungAfterIt(int $one, int $other): void
    {
        $exit = static fn(string $on): array => ['on' => $on, 'steps' => [['id' => $on, 'do' => 'end']]];
        $ring = ['do' => 'ring', 'target' => 'ann', 'seconds' => 10];
        $first = $ring + ['id' => 'first', 'exits' => array_map($exit, ['unreachable', 'busy', 'nobody'])];
        $message = ['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx'];
        $again = $ring + ['id' => 'second', 'exits' => [['on' => 'unreachable', 'steps' => [$message]]]];
        $plan = self::plan([1 => [], 2 => []], [$first], [$one => [], $other => [$again]])
            ->person('ann')
            ->mailbox('mbx', 'prm');
        self::assertSame(
            [
                'ran out of steps  0 23',
                'answered ann 0 22',
                'ended by plan  0 14',
                'message mbx 1 15',
                'caller gave up  1 23',
            ],
            self::held($plan, PlanBuilder::trial('2026-11-23T10:30')),
        );
    }

    /**
     * @param array<array-key, list<array<string, mixed>>> $before by key, what comes before the step
     * @param list<array<string, mixed>>                   $steps
     * @param array<array-key, list<array<string, mixed>>> $after  by key, what comes after it
     * @param list<array<string, mixed>>                   $exits  others of the menu
     */
    private static function plan(
        array $before,
        array $steps,
        array $after = [
            1 => [['id' => 'end', 'do' => 'end']],
            2 => [],
        ],
        array $exits = [],
    ): PlanBuilder {
        foreach ($before as $key => $some) {
            $go = ['id' => 'go' . $key, 'do' => 'go', 'journey' => 'step', 'comesBack' => true];
            $exits[] = ['on' => (string) $key, 'steps' => [...$some, $go, ...$after[$key]]];
        }

        return (new PlanBuilder())
            ->prompt('prm', 2)
            ->journey('jrn_main', [
                ['id' => 'menu', 'do' => 'menu', 'prompt' => 'prm', 'wait' => 3, 'tries' => 1, 'exits' => $exits],
            ])
            ->journey('step', $steps);
    }

    /** @return array<string, mixed> */
    private static function say(string $prompt): array
    {
        return ['id' => $prompt, 'do' => 'say', 'prompt' => $prompt];
    }

    /** @return list<string> */
    private static function held(PlanBuilder $builder, TrialCall $call): array
    {
        $plan = $builder->plan();
        $endings = Endings::of($plan, $call);
        self::assertSame([], $endings->notTried);
        self::reproduce($plan, $call, $endings);
        mt_srand(1);
        for ($i = 0; $i < 300; ++$i) {
            self::contains($plan, $call, $endings, DrawnAssumptions::of(['ann/desk'], ['ann']));
        }

        return self::told($endings);
    }
}
