<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which greeting callers hear and why, what keys do meanwhile, and what comes after it. */
final class MailboxTest extends TestCase
{
    /**
     * @param array<string, mixed> $mailbox
     * @param array<string, mixed> $assume
     */
    #[DataProvider('greetings')]
    public function testTheGreetingAndWhy(array $mailbox, array $assume, string $said): void
    {
        $trace = self::trace($mailbox, $assume);
        self::assertSame($said, self::said($trace));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string}> */
    public static function greetings(): iterable
    {
        $all = [
            'greeting' => 'prm_usual',
            'greetings' => ['busy' => 'prm_busy', 'unreachable' => 'prm_far'],
            'nameRecording' => 'prm_name',
        ];
        $ann = static fn(string $does): array => ['phones' => [['who' => 'ann', 'does' => $does, 'after' => 2]]];
        $usual = 'Leaves a message with Box. After its greeting “prm_usual” of 4 s.';
        yield 'nobody answers' => [$all, [], $usual];
        yield 'who is rung refuses' => [$all, $ann('refuses'), $usual];
        yield 'who is rung is busy' => [
            $all,
            $ann('busy'),
            'Leaves a message with Box. After “prm_busy” of 2 s, its greeting while who was rung is busy.',
        ];
        yield 'none can be reached' => [
            $all,
            $ann('unreachable'),
            'Leaves a message with Box. After “prm_far” of 6 s, its greeting where nobody can be reached.',
        ];
        yield 'busy, and nothing for it' => [['greeting' => 'prm_usual'], $ann('busy'), $usual];
        yield 'only a name' => [
            ['nameRecording' => 'prm_name'],
            [],
            'Leaves a message with Box. After “prm_name” of 2 s, its name: it has no greeting.',
        ];
        yield 'nothing at all' => [
            [],
            [],
            'Leaves a message with Box. The mailbox has no greeting, so it records at once.',
        ];
        $away = ['away' => ['greeting' => 'prm_away', 'until' => '2026-12-01T08:00']];
        yield 'away, also while busy' => [
            $away + $all,
            $ann('busy'),
            'Leaves a message with Box. After “prm_away” of 8 s, its greeting until 2026-12-01 at 08:00.',
        ];
        yield 'away without words' => [
            ['away' => ['greeting' => null, 'until' => '2026-12-01T08:00']] + $all,
            [],
            $usual,
        ];
        yield 'without a beep' => [['beep' => false] + $all, [], $usual . ' No beep is heard.'];
        yield 'no message is taken' => [
            ['takesMessages' => false] + $all,
            [],
            'Hears the announcement of Box. After its greeting “prm_usual” of 4 s. No message is taken.',
        ];
        yield 'nothing is said nor taken' => [
            ['takesMessages' => false],
            [],
            'Hears the announcement of Box. It has nothing to say. No message is taken.',
        ];
    }

    public function testTheUsualGreetingReturnsByItself(): void
    {
        $box = ['greeting' => 'prm_usual', 'away' => ['greeting' => 'prm_away', 'until' => '2026-12-01T08:00']];
        $end = Moment::parse('2026-12-01T08:00', 'Europe/London');
        // It rings for ten seconds first.
        foreach (['07:59:49' => 'prm_away', '07:59:50' => 'prm_usual'] as $clock => $greeting) {
            $trace = self::trace($box, [], '2026-12-01T' . $clock);
            self::assertSame($greeting, self::event($trace)['what']['greeting']);
        }
        self::assertSame($end - 10, self::trace($box)->holds->until);
        self::assertSame($end - 10, $trace->holds->since);
    }

    public function testItIsOverOnTheClockOfTheFirstOwnersSite(): void
    {
        $box = ['owners' => ['camille'], 'away' => ['greeting' => 'prm_away', 'until' => '2026-12-01T08:00']];
        self::assertSame(Moment::parse('2026-12-01T08:00', 'Europe/Paris') - 10, self::trace($box)->holds->until);
    }

    /** @param array<string, mixed> $keys */
    #[DataProvider('keys')]
    public function testKeysDuringTheGreeting(array $keys, string $press, string $ending, int $seconds): void
    {
        $assume = ['meanwhile' => [['press' => $press, 'after' => 1]]];
        $trace = self::trace(['greeting' => 'prm_usual', 'keys' => $keys], $assume);
        self::assertSame(
            [$ending, $seconds],
            [$trace->ending->kind->value . ' ' . $trace->ending->who, $trace->seconds],
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string, string, int}> the greeting lasts from second 10 to 14 */
    public static function keys(): iterable
    {
        $leave = ['leave' => '0', 'leaveTo' => 'mbx_desk'];
        yield 'the usual one cuts it short' => [[], '#', 'message mbx', 11];
        yield 'another one does' => [['skip' => '1'], '1', 'message mbx', 11];
        yield 'then the usual one does not' => [['skip' => '1'], '#', 'message mbx', 14];
        yield 'none does' => [['skip' => null], '#', 'message mbx', 14];
        yield 'one leaves for somebody' => [$leave, '0', 'message mbx_desk', 11];
        yield 'for nobody yet' => [['leave' => '0'], '0', 'ran out of steps ', 11];
        yield 'for good' => [['leave' => '0', 'leaveTo' => 'end the call'], '0', 'ended by plan ', 11];
        yield 'for a number outside' => [['leave' => '0', 'leaveTo' => '+442079460123'], '0', 'ran out of steps ', 36];
        yield 'owners listen' => [['listen' => '*9'], '*9', 'listens to messages mbx', 11];
        yield 'with the whole code' => [['listen' => '*9'], '*', 'message mbx', 14];
        yield 'a code that begins like the key that leaves' => [
            $leave + ['listen' => '09'],
            '09',
            'listens to messages mbx',
            11,
        ];
    }

    public function testTheKeysOfTheStepComeFirst(): void
    {
        $box = ['greeting' => 'prm_usual', 'keys' => ['leave' => '0', 'leaveTo' => 'mbx_desk']];
        $exits = [['on' => '0', 'label' => '', 'steps' => [['id' => 'end', 'do' => 'end']]]];
        $trace = self::trace($box, ['meanwhile' => [['press' => '0', 'after' => 1]]], exits: $exits);
        self::assertSame('ended by plan', $trace->ending->kind->value);
    }

    public function testWithoutMessagesNothingIsCutShort(): void
    {
        $box = ['greeting' => 'prm_usual', 'takesMessages' => false];
        $trace = self::trace($box, ['meanwhile' => [['press' => '#', 'after' => 1]]]);
        self::assertSame(
            ['announcement', 'mbx', 14],
            [$trace->ending->kind->value, $trace->ending->who, $trace->seconds],
        );
    }

    public function testOlderPlansHaveOneGreeting(): void
    {
        $old = [
            'id' => 'mbx',
            'kind' => 'mailbox',
            'name' => 'Box',
            'owners' => ['ann'],
            'notify' => ['office@example.com'],
            'greeting' => 'prm_usual',
            'longestSeconds' => 60,
        ];
        $mailbox = PlanCodec::element($old);
        \assert($mailbox instanceof Mailbox);
        self::assertEquals($old, array_intersect_key($mailbox->toJson(), $old));
        self::assertSame(
            ['#', true, true, 60],
            [
                $mailbox->keys->skip,
                $mailbox->messages->beep,
                $mailbox->messages->taken,
                $mailbox->messages->longestSeconds,
            ],
        );
        self::assertSame($mailbox->toJson(), PlanCodec::element($mailbox->toJson())->toJson());
    }

    /** @param array<string, mixed> $more */
    #[DataProvider('mistakes')]
    public function testWhatIsWrongIsSaidAtItsField(array $more, string $pointer, string $code): void
    {
        try {
            PlanCodec::element($more + ['id' => 'mbx', 'kind' => 'mailbox', 'name' => 'Box']);
            self::fail('It is wrong.');
        } catch (InvalidData $invalid) {
            self::assertSame([$pointer, $code], [$invalid->problems[0]->pointer, $invalid->problems[0]->code]);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function mistakes(): iterable
    {
        yield 'an end that is no time' => [['away' => ['until' => 'Monday']], '/away/until', 'not-a-moment'];
        yield 'a day that is none' => [['away' => ['until' => '2026-02-30T08:00']], '/away/until', 'no-such-moment'];
        yield 'no end' => [['away' => ['greeting' => 'prm']], '/away/until', 'missing'];
        yield 'no key' => [['keys' => ['leave' => 'a']], '/keys/leave', 'not-a-menu-key'];
        yield 'one key for two' => [['keys' => ['leave' => '#']], '/keys/leave', 'key-twice'];
        yield 'one key to listen' => [['keys' => ['listen' => '9']], '/keys/listen', 'not-a-listening-code'];
        yield 'letters to listen' => [['keys' => ['listen' => '*L']], '/keys/listen', 'not-a-listening-code'];
    }

    /**
     * @param array<string, mixed>       $mailbox
     * @param array<string, mixed>       $assume
     * @param list<array<string, mixed>> $exits
     */
    private static function trace(
        array $mailbox,
        array $assume = [],
        string $at = '2026-11-23T10:30',
        array $exits = [],
    ): Trace {
        $french = ['id' => 'sit_quay', 'kind' => 'site', 'name' => 'Quay', 'zone' => 'Europe/Paris', 'country' => 'FR'];
        $camille = ['id' => 'camille', 'kind' => 'person', 'name' => 'Camille', 'site' => 'sit_quay', 'phones' => []];

        return (new PlanBuilder())
            ->person('ann')
            ->with($french)
            ->with($camille)
            ->mailbox('mbx_desk')
            ->prompt('prm_usual', 4)
            ->prompt('prm_busy', 2)
            ->prompt('prm_far', 6)
            ->prompt('prm_away', 8)
            ->prompt('prm_name', 2)
            ->with($mailbox + ['id' => 'mbx', 'kind' => 'mailbox', 'name' => 'Box'])
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 10],
                ['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx', 'exits' => $exits],
            ])
            ->call($assume, $at);
    }

    private static function said(Trace $trace): string
    {
        $event = self::event($trace);

        return $event['text'] . '. ' . $event['reason'];
    }

    /** @return array{text: string, reason: string, what: array<string, mixed>} */
    private static function event(Trace $trace): array
    {
        $plan = (new PlanBuilder())->with(['id' => 'mbx', 'kind' => 'mailbox', 'name' => 'Box'])->plan();
        foreach (TraceReport::of($trace, $plan, 'Europe/London')['events'] as $event) {
            if ('leave' === $event['step'] && isset($event['what']['beeps'])) {
                return $event;
            }
        }
        self::fail('The mailbox has nothing of the call.');
    }
}
