<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\Circumstances;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Live\Outlasting;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\AnswerChange;
use Meandros\Core\Routing\Router;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\ForcedBy;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Override;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Forcing hours into a state: what calls make of it, dialling its code, and forgetting it. */
final class CodeTest extends TestCase
{
    public function testAnOverrideTakesEffectOnCallsAndCanBeLeftOut(): void
    {
        $plan = self::plan();
        $call = new TrialCall(PlanBuilder::NUMBER, Caller::parse('', 'GB'), self::at('2026-11-23T10:00'));
        $live = new LiveState([self::storm('2026-11-23T09:30', '2026-11-23T15:00')]);
        $sentence = static fn(Assumptions $assumptions): string => TraceReport::of(
            (new Router())->trace($plan, $call, $assumptions, $live),
            $plan,
            'Europe/London',
        )['sentence'];
        self::assertStringContainsString('Storm mailbox', $sentence(new Assumptions()));
        self::assertStringNotContainsString(
            'Storm mailbox',
            $sentence(new Assumptions(circumstances: new Circumstances(withoutOverrides: true))),
        );
        $change = new AnswerChange(new Router());
        self::assertSame(self::at('2026-11-23T15:00'), $change->next($plan, $call, new Assumptions(), $live));
        self::assertSame(self::at('2026-11-23T09:30'), $change->previous($plan, $call, new Assumptions(), $live));
    }

    #[DataProvider('calls')]
    public function testDiallingACodeTellsWhatItDoes(string $code, string $from, string $sentence, string $reason): void
    {
        $plan = self::plan();
        $trace = (new Router())->trace(
            $plan,
            new TrialCall($code, Caller::parse($from, 'GB'), self::at('2026-11-23T10:00')),
            new Assumptions(),
        );
        $report = TraceReport::of($trace, $plan, 'Europe/London');
        self::assertSame($sentence, $report['sentence']);
        self::assertSame($reason, $report['events'][0]['reason']);
        self::assertSame($code, $trace->passage->events[0]->happening->because()['code'] ?? null);
        self::assertSame(
            '*21' === $code ? '2026-11-23T17:00:00+00:00' : null,
            $trace->passage->events[0]->happening->because()['until'] ?? null,
        );
    }

    /** @return iterable<array{string, string, string, string}> */
    public static function calls(): iterable
    {
        yield [
            '*21',
            '201',
            'Forces Desk into “Storm”, then the plan ends the call.',
            'The code *21 does it at once, until the next change at Mon 23 Nov 2026 17:00.',
        ];
        yield [
            '*22',
            '201',
            'Forces Desk into “Storm”, then the plan ends the call.',
            'The code *22 does it at once, until it is lifted.',
        ];
        yield [
            '*20',
            '201',
            'Lifts what is forced on Desk, then the plan ends the call.',
            'The code *20 lifts it at once.',
        ];
        yield [
            '*21',
            '+441632960999',
            'Tries to force Desk from outside, then the plan ends the call.',
            'The code *21 works from an extension only.',
        ];
    }

    public function testTwoHoursCannotHaveOneCode(): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('code-taken {"code":"*21","name":"Desk"}');
        self::builder()
            ->with(['id' => 'hrs_other', 'name' => 'Other'] + self::desk())
            ->plan();
    }

    /** @param array{string, string|null} $force */
    #[DataProvider('forgotten')]
    public function testAnOverrideThatOutlastsTheNextOpeningIsFound(
        string $state,
        array $force,
        string $now,
        ?string $outlasts,
    ): void {
        $plan = self::plan();
        $hours = $plan->get(Hours::class, 'hrs_desk');
        self::assertNotNull($hours);
        $override = new Override(
            'one',
            'hrs_desk',
            $state,
            self::at($force[0]),
            null === $force[1] ? null : self::at($force[1]),
            new ForcedBy('Dana', 'Storm'),
        );
        $found = (new Outlasting(new PlanHours($plan)))->opening($hours, $override, self::at($now));
        self::assertSame($outlasts, null === $found ? null : Moment::format($found, 'Europe/London'));
    }

    /** @return iterable<string, array{string, array{string, string|null}, string, string|null}> */
    public static function forgotten(): iterable
    {
        yield 'closed until lifted, seen the same day' => [
            'storm',
            ['2026-11-23T14:00', null],
            '2026-11-23T15:00',
            '2026-11-24T09:00:00+00:00',
        ];
        yield 'closed until tonight' => ['storm', ['2026-11-23T14:00', '2026-11-23T22:00'], '2026-11-23T15:00', null];
        yield 'closed until exactly the opening' => [
            'storm',
            ['2026-11-23T14:00', '2026-11-24T09:00'],
            '2026-11-23T15:00',
            null,
        ];
        yield 'open until lifted outlasts the closing' => [
            'open',
            ['2026-11-23T14:00', null],
            '2026-11-23T15:00',
            '2026-11-23T17:00:00+00:00',
        ];
    }

    private static function storm(string $from, string $until): Override
    {
        return new Override(
            'ovr_one',
            'hrs_desk',
            'storm',
            self::at($from),
            self::at($until),
            new ForcedBy('Dana', 'Force 10'),
        );
    }

    private static function at(string $text): int
    {
        return Moment::parse($text, 'Europe/London');
    }

    private static function plan(): Plan
    {
        return self::builder()->plan();
    }

    private static function builder(): PlanBuilder
    {
        return (new PlanBuilder())
            ->with(self::desk())
            ->with([
                'name' => 'Storm mailbox',
                'id' => 'mbx_storm',
                'kind' => 'mailbox',
                'owners' => [],
                'notify' => [],
                'greeting' => null,
            ])
            ->journey('jrn_main', [
                [
                    'id' => 'one',
                    'do' => 'hours',
                    'hours' => 'hrs_desk',
                    'exits' => [
                        [
                            'on' => 'storm',
                            'label' => '',
                            'steps' => [['id' => 'two', 'do' => 'message', 'mailbox' => 'mbx_storm']],
                        ],
                    ],
                ],
            ]);
    }

    /** @return array<string, mixed> */
    private static function desk(): array
    {
        return [
            'id' => 'hrs_desk',
            'kind' => 'hours',
            'name' => 'Desk',
            'site' => 'sit_harbour',
            'default' => 'closed',
            'specialDays' => [],
            'states' => [
                ['key' => 'open', 'name' => 'Open', 'open' => true],
                ['key' => 'closed', 'name' => 'Closed', 'open' => false],
                ['key' => 'storm', 'name' => 'Storm', 'open' => false],
            ],
            'week' => [
                ['days' => ['mo', 'tu', 'we', 'th', 'fr'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open'],
            ],
            'codes' => [
                ['code' => '*21', 'state' => 'storm', 'ends' => 'next change'],
                ['code' => '*22', 'state' => 'storm', 'ends' => 'until lifted'],
                ['code' => '*20', 'state' => null, 'ends' => 'until lifted'],
            ],
        ];
    }
}
