<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Keys pressed while phones ring or something is heard; worked out by hand. The prompt takes 10 s, the greeting of the mailbox 10 s. */
final class KeysMeanwhileTest extends TestCase
{
    use ToldSteps;

    /**
     * @param array<string, mixed> $step
     * @param array<string, mixed> $assume
     * @param list<string>         $told
     */
    #[DataProvider('steps')]
    public function testWhatHappens(array $step, array $assume, array $told): void
    {
        self::assertSame($told, self::told(self::plan($step), $assume));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, list<string>}> */
    public static function steps(): iterable
    {
        $press = static fn(string $key, ?int $after): array => ['meanwhile' => [['press' => $key, 'after' => $after]]];
        $answers = static fn(int $after): array => [
            'phones' => [['who' => 'ann', 'does' => 'answers', 'after' => $after]],
        ];
        $zero = [['on' => '0', 'steps' => [['id' => 'help', 'do' => 'ring', 'target' => 'ben', 'seconds' => 5]]]];
        $say = ['id' => 'it', 'do' => 'say', 'prompt' => 'prm', 'exits' => $zero];
        $message = ['20 Leaves a message with mbx'];
        yield 'nothing is pressed' => [$say, [], ['0 Hears “prm”', '10 Leaves a message with mbx']];
        yield 'while a prompt plays' => [
            $say,
            $press('0', 4),
            ['0 Hears “prm”', '4 Presses 0', '4 Rings Ben for 5 s', '9 Leaves a message with mbx'],
        ];
        yield 'in the second in which it ends' => [
            $say,
            $press('0', 10),
            ['0 Hears “prm”', '10 Presses 0', '10 Rings Ben for 5 s', '15 Leaves a message with mbx'],
        ];
        yield 'after it' => [$say, $press('0', 11), ['0 Hears “prm”', '10 Leaves a message with mbx']];
        yield 'a key that leads nowhere' => [
            $say,
            $press('5', 4),
            ['0 Hears “prm”', '4 Presses 5, which does nothing', '10 Leaves a message with mbx'],
        ];
        $ring = ['id' => 'it', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20, 'exits' => $zero];
        yield 'nobody hears keys before the call is answered' => [
            $ring,
            $press('0', 6),
            ['0 Rings Ann for 20 s', '6 Presses 0, which does nothing', ...$message],
        ];
        $greets = ['greeting' => 'prm', 'greetAfter' => 5] + $ring;
        yield 'before the greeting' => [
            $greets,
            $press('0', 4),
            ['0 Rings Ann for 20 s', '4 Presses 0, which does nothing', '5 Hears “prm”', ...$message],
        ];
        yield 'from the greeting on' => [
            $greets,
            $press('0', 8),
            [
                '0 Rings Ann for 8 s',
                '5 Hears “prm”',
                '8 Presses 0',
                '8 Rings Ben for 5 s',
                '13 Leaves a message with mbx',
            ],
        ];
        yield 'after it, while it rings on' => [
            $greets,
            $press('0', 17),
            [
                '0 Rings Ann for 17 s',
                '5 Hears “prm”',
                '17 Presses 0',
                '17 Rings Ben for 5 s',
                '22 Leaves a message with mbx',
            ],
        ];
        yield 'somebody answers before' => [
            $greets,
            $press('0', 8) + $answers(6),
            ['0 Rings Ann, answered after 6 s', '5 Hears “prm”'],
        ];
        yield 'somebody answers too late' => [
            $greets,
            $press('0', 8) + $answers(8),
            [
                '0 Rings Ann for 8 s',
                '5 Hears “prm”',
                '8 Presses 0',
                '8 Rings Ben for 5 s',
                '13 Leaves a message with mbx',
            ],
        ];
        yield 'in a later round' => [
            ['againMinutes' => 2, 'greeting' => 'prm', 'greetAfter' => 0] + $ring,
            $press('0', 30),
            [
                '0 Rings Ann for 20 s',
                '0 Hears “prm”',
                '20 Is kept, and it rings again for up to 2 min',
                '30 Presses 0',
                '30 Rings Ben for 5 s',
                '35 Leaves a message with mbx',
            ],
        ];
        yield 'once a mailbox has the call its keys are heeded, not those of the step' => [
            ['target' => 'cid', 'handOver' => true, 'greeting' => 'prm', 'greetAfter' => 0] + $ring,
            $press('0', 28),
            ['0 Rings Cid for 25 s', '25 Leaves a message with mbx_greets', '28 Presses 0, which does nothing'],
        ];
        $leave = ['id' => 'it', 'do' => 'message', 'mailbox' => 'mbx_greets'];
        yield 'the mailbox records at once' => [
            $leave,
            $press('#', 3),
            ['0 Hears “prm”', '3 Presses #', '3 Leaves a message with mbx_greets'],
        ];
        yield 'any other key is none of it' => [
            $leave,
            $press('0', 3),
            ['0 Leaves a message with mbx_greets', '3 Presses 0, which does nothing'],
        ];
        yield 'unless the step has it' => [
            $leave + ['exits' => $zero],
            $press('0', 3),
            ['0 Hears “prm”', '3 Presses 0', '3 Rings Ben for 5 s', '8 Leaves a message with mbx'],
        ];
        $say['exits'][0]['steps'][] = ['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx_greets'];
        yield 'of two steps each has its own' => [
            $say,
            ['meanwhile' => [['press' => '0', 'after' => 4], ['press' => '#', 'after' => 0]]],
            [
                '0 Hears “prm”',
                '4 Presses 0',
                '4 Rings Ben for 5 s',
                '9 Presses #',
                '9 Leaves a message with mbx_greets',
            ],
        ];
    }

    public function testTheCallerWhoGivesUpInThatSecondIsGone(): void
    {
        $plan = self::plan(['id' => 'it', 'do' => 'say', 'prompt' => 'prm', 'exits' => [['on' => '0', 'steps' => []]]]);
        self::assertSame(
            EndingKind::CallerGaveUp,
            $plan->call(['patience' => 4, 'meanwhile' => [['press' => '0', 'after' => 4]]])->ending->kind,
        );
    }

    /** @param array<string, mixed> $step */
    private static function plan(array $step): PlanBuilder
    {
        return (new PlanBuilder())
            ->prompt('prm', 10)
            ->person('ann')
            ->person('ben')
            ->person('cid', ['desk'], 'mbx_greets')
            ->mailbox('mbx')
            ->with(['id' => 'mbx_greets', 'kind' => 'mailbox', 'name' => 'mbx_greets', 'greeting' => 'prm'])
            ->journey('jrn_main', [$step, ['id' => 'last', 'do' => 'message', 'mailbox' => 'mbx']]);
    }
}
