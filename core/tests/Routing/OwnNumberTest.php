<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\ProblemWords;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * A call to one of our own numbers comes back in by it, as one from inside. The main journey calls the second number
 * for 20 s, then takes a message; Ann answers there, or a journey does.
 */
final class OwnNumberTest extends TestCase
{
    private const SECOND = '+441632960102';

    public function testItRingsWhereThatNumberLeadsAndComesBackWhenTheTimeIsUp(): void
    {
        $trace = self::call('ann');
        self::assertSame(['dialled', 'comes back in', 'not answered', 'message', 'message'], self::kinds($trace));
        self::assertSame(
            [[0, 20], 'mbx_main', 'Main line'],
            [
                [$trace->passage->rung[0]->times->from, $trace->passage->rung[0]->times->until],
                $trace->ending->who,
                $trace->shown->label,
            ],
        );
        self::assertSame('', $trace->passage->rung[0]->carried->dials, 'No line is taken, although there is one.');
    }

    public function testWhoAnswersSeesTheNumberThatItCameInByLast(): void
    {
        $trace = self::call('ann', ['phones' => [['who' => 'ann', 'does' => 'answers', 'after' => 5]]]);
        self::assertSame(
            ['answered', 'ann', 5, 'Second line', 'fr'],
            [
                $trace->ending->kind->value,
                $trace->ending->who,
                $trace->seconds,
                $trace->shown->label,
                $trace->shown->language,
            ],
        );
    }

    public function testOnceSomethingIsHeardThereTheTimeCountsNoLonger(): void
    {
        $trace = self::call('jrn_second');
        self::assertSame(
            [40, 'ran out of steps'],
            [$trace->seconds, $trace->ending->kind->value],
            'Ten seconds of a prompt, thirty of ringing; then nobody is left there.',
        );
        self::assertSame(['dialled', 'comes back in', 'said', 'not answered', 'ran out of steps'], self::kinds($trace));
    }

    public function testAGreetingWhileItRingsThereIsHeardToo(): void
    {
        $there = static fn(int $after, string $does): Trace => self::builder('jrn_there', [])
            ->journey('jrn_there', [
                [
                    'id' => 'ring',
                    'do' => 'ring',
                    'target' => 'ben',
                    'seconds' => 30,
                    'greeting' => 'prm_hello',
                    'greetAfter' => $after,
                ],
            ])
            ->journey('jrn_main', [
                ['id' => 'call', 'do' => 'ring', 'target' => self::SECOND, 'seconds' => 20],
                ['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx_main'],
            ])
            ->call(['phones' => [['who' => 'ben', 'does' => $does, 'after' => 25]]]);
        self::assertSame(
            [30, 'ran out of steps'],
            [$there(10, 'rings')->seconds, $there(10, 'rings')->ending->kind->value],
            'It rings its 30 s, since the greeting came first.',
        );
        self::assertSame(
            [25, 'answered'],
            [$there(10, 'answers')->seconds, $there(10, 'answers')->ending->kind->value],
        );
        self::assertSame(
            [20, 'message'],
            [$there(25, 'answers')->seconds, $there(25, 'answers')->ending->kind->value],
            'Given up before the greeting.',
        );
        self::assertSame(
            [20, 'message'],
            [$there(20, 'rings')->seconds, $there(20, 'rings')->ending->kind->value],
            'And in the second in which it would begin.',
        );
        self::assertSame(
            [0, 'message'],
            [$there(10, 'busy')->seconds, $there(10, 'busy')->ending->kind->value],
            'Where nothing rings nothing is heard.',
        );
    }

    public function testAGreetingThatWasNotReachedCountsForNothingLater(): void
    {
        $trace = self::builder('jrn_there', [])
            ->journey('jrn_there', [
                [
                    'id' => 'ring',
                    'do' => 'ring',
                    'target' => 'ben',
                    'seconds' => 5,
                    'greeting' => 'prm_hello',
                    'greetAfter' => 10,
                ],
                ['id' => 'more', 'do' => 'ring', 'target' => 'ann', 'seconds' => 30],
            ])
            ->journey('jrn_main', [
                ['id' => 'call', 'do' => 'ring', 'target' => self::SECOND, 'seconds' => 20],
                ['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx_main'],
            ])
            ->call();
        self::assertSame([20, 'message'], [$trace->seconds, $trace->ending->kind->value]);
    }

    public function testWhenTheTimeIsUpNothingMoreHappensThere(): void
    {
        $trace = self::builder('jrn_there', [])
            ->mailbox('mbx_there')
            ->journey('jrn_there', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ben', 'seconds' => 30],
                ['id' => 'there', 'do' => 'message', 'mailbox' => 'mbx_there'],
            ])
            ->journey('jrn_main', [
                ['id' => 'call', 'do' => 'ring', 'target' => self::SECOND, 'seconds' => 20],
                ['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx_main'],
            ])
            ->call();
        self::assertSame([20, 'mbx_main'], [$trace->seconds, $trace->ending->who]);
    }

    public function testACallWithinACallWithinACall(): void
    {
        $builder = self::builder('jrn_there', [])->with([
            'id' => 'num_third',
            'kind' => 'number',
            'name' => 'Third line',
            'number' => '+441632960103',
            'site' => 'sit_harbour',
            'language' => 'en',
            'target' => 'ann',
        ]);
        $trace = $builder
            ->journey('jrn_there', [
                ['id' => 'third', 'do' => 'ring', 'target' => '+441632960103', 'seconds' => 5],
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ben', 'seconds' => 30],
            ])
            ->journey('jrn_main', [
                ['id' => 'call', 'do' => 'ring', 'target' => self::SECOND, 'seconds' => 20],
                ['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx_main'],
            ])
            ->call();
        self::assertSame(
            [[0, 5], [5, 20]],
            array_map(static fn(Rung $rung): array => [$rung->times->from, $rung->times->until], $trace->passage->rung),
        );
        self::assertSame([20, 'mbx_main', 'Main line'], [$trace->seconds, $trace->ending->who, $trace->shown->label]);
    }

    public function testItsTimeDoesNotEndWhatRingsAfterIt(): void
    {
        $trace = self::builder('ann', [])
            ->journey('jrn_main', [
                ['id' => 'call', 'do' => 'ring', 'target' => self::SECOND, 'seconds' => 20],
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ben', 'seconds' => 30],
                ['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx_main'],
            ])
            ->call();
        self::assertSame(
            [[0, 20], [20, 50]],
            array_map(static fn(Rung $rung): array => [$rung->times->from, $rung->times->until], $trace->passage->rung),
        );
    }

    public function testWithoutAnAnswerTheStepGoesOnByNobody(): void
    {
        $trace = self::call('jrn_silent');
        self::assertSame(
            ['message', 7, 'nobody'],
            [$trace->ending->kind->value, $trace->seconds, self::exit($trace, 'call')],
        );
        self::assertSame(
            ['message', 0, 'nobody'],
            [self::call(null)->ending->kind->value, self::call(null)->seconds, self::exit(self::call(null), 'call')],
        );
    }

    public function testTheCallerIsOneFromInside(): void
    {
        $rule = static fn(string $caller): array => [
            'id' => 'one',
            'name' => 'One',
            'when' => ['callers' => [$caller]],
            'stages' => [['phones' => ['desk'], 'after' => 0, 'seconds' => 7]],
        ];
        self::assertSame(7, self::call('ann', [], [$rule('internal')])->passage->rung[0]->times->until);
        self::assertSame(
            20,
            self::call('ann', [], [$rule('withheld')])->passage->rung[0]->times->until,
            'No rule holds, so it rings until the step is over.',
        );
    }

    public function testARuleThatPassesCallsToOneOfOurNumbers(): void
    {
        $trace = self::builder('mbx_main', [])
            ->with([
                'id' => 'ben',
                'kind' => 'person',
                'name' => 'Ben',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [],
                'rules' => [['id' => 'on', 'name' => 'On', 'next' => ['nobody' => self::SECOND]]],
            ])
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'ben', 'handOver' => true]])
            ->call();
        self::assertSame(['dialled', 'comes back in', 'message', 'message'], self::kinds($trace));
    }

    /** @param array<string, mixed> $step */
    #[DataProvider('loops')]
    public function testACallThatComesBackToItselfIsStopped(array $step): void
    {
        $builder = self::builder('jrn_main', [])->journey('jrn_main', [
            $step + ['id' => 'again', 'do' => 'ring', 'seconds' => 20],
        ]);
        $trace = $builder->call();
        self::assertSame(['loop stopped', 0], [$trace->ending->kind->value, $trace->seconds]);
        self::assertContains(
            'It comes back to a number that it came in by.',
            array_column(TraceReport::of($trace, $builder->plan(), 'UTC')['events'], 'reason'),
        );
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function loops(): iterable
    {
        yield 'to the number dialled' => [['target' => PlanBuilder::NUMBER]];
        yield 'to the second' => [['target' => self::SECOND]];
    }

    public function testAPhoneOutsideIsNoneOfOurNumbers(): void
    {
        $phone = static fn(string $number): array => [
            'id' => 'cid',
            'kind' => 'person',
            'name' => 'Cid',
            'extension' => '',
            'site' => 'sit_harbour',
            'phones' => [['id' => 'mobile', 'type' => 'outside', 'label' => 'Mobile', 'number' => $number]],
        ];
        foreach (
            [
                [$phone(self::SECOND), '/phones/0/number'],
                [
                    [
                        'id' => 'team',
                        'kind' => 'team',
                        'name' => 'Team',
                        'pattern' => 'all at once',
                        'members' => [self::SECOND],
                    ],
                    '/members/0/who',
                ],
            ]
            as [$element, $pointer]
        ) {
            try {
                self::builder('ann', [])->with($element)->plan();
                self::fail('This must be refused.');
            } catch (InvalidData $invalid) {
                self::assertStringEndsWith($pointer, $invalid->problems[0]->pointer);
                self::assertStringContainsString(
                    'our own number “Second line”',
                    ProblemWords::message($invalid->problems[0]),
                );
            }
        }
    }

    /** @return list<string> */
    private static function kinds(Trace $trace): array
    {
        return array_map(static fn(Event $event): string => $event->happening->kind(), $trace->passage->events);
    }

    private static function exit(Trace $trace, string $step): ?string
    {
        foreach ($trace->passage->visits as $visit) {
            if ($visit->step === $step) {
                return $visit->exit;
            }
        }

        return null;
    }

    /**
     * @param array<string, mixed>       $assume
     * @param list<array<string, mixed>> $rules
     */
    private static function call(?string $target, array $assume = [], array $rules = []): Trace
    {
        return self::builder($target, $rules)
            ->journey('jrn_main', [
                ['id' => 'call', 'do' => 'ring', 'target' => self::SECOND, 'seconds' => 20],
                ['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx_main'],
            ])
            ->call($assume);
    }

    /** @param list<array<string, mixed>> $rules of Ann */
    private static function builder(?string $target, array $rules): PlanBuilder
    {
        return (new PlanBuilder())
            ->mailbox('mbx_main')
            ->prompt('prm_hello', 10)
            ->person('ben')
            ->with([
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
                'rules' => $rules,
            ])
            ->with([
                'id' => 'line_quay',
                'kind' => 'line',
                'name' => 'Quay',
                'site' => 'sit_harbour',
                'destinations' => ['local', 'national'],
                'channels' => 2,
            ])
            ->with([
                'id' => 'num_second',
                'kind' => 'number',
                'name' => 'Second line',
                'number' => self::SECOND,
                'site' => 'sit_harbour',
                'language' => 'fr',
                'target' => $target,
            ])
            ->journey('jrn_silent', [['id' => 'ring', 'do' => 'ring', 'target' => 'ben', 'seconds' => 7]])
            ->journey('jrn_second', [
                ['id' => 'hello', 'do' => 'say', 'prompt' => 'prm_hello'],
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ben', 'seconds' => 30],
            ]);
    }
}
