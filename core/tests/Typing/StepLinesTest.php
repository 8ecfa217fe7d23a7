<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Typing;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\StepKinds;
use Meandros\Core\Reading\Input;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Soak;
use Meandros\Core\Typing\StepLines;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Steps as they are typed; what they mean is worked out by hand. */
final class StepLinesTest extends TestCase
{
    /**
     * @param array<string, mixed>                    $step
     * @param list<array{kind: string, name: string}> $made
     */
    #[DataProvider('lines')]
    public function testWhatALineMeans(string $line, array $step, array $made = []): void
    {
        $typed = StepLines::read($line, self::plan(), 'GB');
        self::assertSame(['', $made], [$typed->problem, $typed->made]);
        self::assertEquals($step, $typed->step);
    }

    /** @return iterable<array{0: string, 1: array<string, mixed>, 2?: list<array{kind: string, name: string}>}> */
    public static function lines(): iterable
    {
        $ring = static fn(string $target, int $seconds): array => [
            'do' => 'ring',
            'target' => $target,
            'seconds' => $seconds,
        ];
        yield ['ring Bookings desk 25s', $ring('team', 25)];
        yield ['Ring  bookings DESK for 25 seconds', $ring('team', 25)];
        yield ['ring Bookings', ['do' => 'ring', 'target' => 'ann']];
        yield ['ring 07700 900123, 20 s', $ring('+447700900123', 20)];
        yield ['ring Bookings for good', ['do' => 'ring', 'target' => 'ann', 'handOver' => true]];
        yield [
            'ring Bookings desk 25s, again for 3 min, greet with Closed after 5 s',
            $ring('team', 25) + ['againMinutes' => 3, 'greeting' => 'prm', 'greetAfter' => 5],
        ];
        yield ['ring Night desk 20s', $ring('new:0', 20), [['kind' => 'team', 'name' => 'Night desk']]];
        yield ['say Closed', ['do' => 'say', 'prompt' => 'prm']];
        yield ['say FERME a quai', ['do' => 'say', 'prompt' => 'prm_quai']];
        yield ['say été', ['do' => 'say', 'prompt' => 'prm_e']];
        yield ['say ete', ['do' => 'say', 'prompt' => 'prm_ete']];
        yield ['say Closed for the storm', ['do' => 'say', 'prompt' => 'prm_storm']];
        yield [
            'say We are away',
            ['do' => 'say', 'prompt' => 'new:0'],
            [['kind' => 'prompt', 'name' => 'We are away']],
        ];
        $key = static fn(string $on, string $label): array => ['on' => $on, 'label' => $label, 'steps' => []];
        yield [
            'menu Main menu 1 Sales 2 Freight',
            ['do' => 'menu', 'prompt' => 'prm_menu', 'exits' => [$key('1', 'Sales'), $key('2', 'Freight')]],
        ];
        yield [
            'menu Other menu, wait 7 s, 3 tries, 1 Sales * Again',
            [
                'do' => 'menu',
                'prompt' => 'new:0',
                'wait' => 7,
                'tries' => 3,
                'exits' => [$key('1', 'Sales'), $key('*', 'Again')],
            ],
            [['kind' => 'prompt', 'name' => 'Other menu']],
        ];
        yield [
            'menu Main menu 1 2',
            ['do' => 'menu', 'prompt' => 'prm_menu', 'exits' => [$key('1', ''), $key('2', '')]],
        ];
        $if = static fn(string $state, array $step): array => [
            'do' => 'hours',
            'hours' => 'hrs',
            'exits' => [['on' => $state, 'label' => '', 'steps' => [$step]]],
        ];
        yield ['if closed message Reception', $if('closed', ['do' => 'message', 'mailbox' => 'mbx'])];
        yield ['if Desk hours lunch: say Closed', $if('lunch', ['do' => 'say', 'prompt' => 'prm'])];
        yield ['hours Desk hours', ['do' => 'hours', 'hours' => 'hrs']];
        yield ['go Reception', ['do' => 'go', 'journey' => 'jrn', 'comesBack' => false]];
        yield ['go through Reception and back', ['do' => 'go', 'journey' => 'jrn', 'comesBack' => true]];
        yield [
            'tag Freight, in fr, urgent, tone Bell, note Ask',
            [
                'do' => 'tag',
                'label' => 'Freight',
                'language' => 'fr',
                'urgency' => 'urgent',
                'tone' => 'Bell',
                'note' => 'Ask',
            ],
        ];
        yield [
            'forward to +33 2 61 91 01 00 sending 1,2',
            ['do' => 'forward', 'number' => '+33261910100', 'line' => null, 'shows' => null, 'digits' => '1,2'],
        ];
        yield [
            'park Harbour 60s',
            ['do' => 'park', 'site' => 'sit_harbour', 'place' => '', 'prompt' => null, 'seconds' => 60],
        ];
        yield ['fax Reception 6s', ['do' => 'fax', 'mailbox' => 'mbx', 'prompt' => null, 'seconds' => 6]];
        yield ['caller Known, Owing', ['do' => 'caller', 'exits' => [$key('clr', ''), $key('clr_2', '')]]];
        yield ['directory Main menu, either name', ['do' => 'directory', 'prompt' => 'prm_menu', 'part' => 'either']];
        yield ['back 1 up', ['do' => 'again', 'up' => 1]];
        yield ['end the call', ['do' => 'end']];
    }

    /** @param list<string> $offers */
    #[DataProvider('misread')]
    public function testWhatIsNotUnderstoodSaysWhereAndWhatIsNear(
        string $line,
        string $problem,
        int $at,
        array $offers,
    ): void {
        $typed = StepLines::read($line, self::plan(), 'GB');
        self::assertNull($typed->step);
        self::assertSame([$problem, $at, $offers], [$typed->problem, $typed->at, \array_slice($typed->offers, 0, 3)]);
    }

    public function testWhatIsNamedAlikeIsOfferedBesideANewOne(): void
    {
        $typed = StepLines::read('say ferme', self::plan(), 'GB');
        self::assertSame(['ferme'], array_column($typed->made, 'name'));
        self::assertSame(['say Fermé à quai'], $typed->offers);
    }

    /** @return iterable<array{string, string, int, list<string>}> */
    public static function misread(): iterable
    {
        yield ['', 'No kind of step begins so.', 0, ['say …', 'if …', 'hours …']];
        yield ['m', 'No kind of step begins so.', 0, ['menu …', 'message …']];
        yield ['rnig Bookings', 'No kind of step begins so.', 0, ['ring …']];
        yield ['ring', 'Something is missing at the end.', 4, ['ring Bookings desk', 'ring Bookings']];
        yield ['message', 'Something is missing at the end.', 7, ['message Reception', 'message 24/7 (night), 20s']];
        yield ['end now', '“now” is not understood.', 3, []];
        yield ['ring Bookings desk 25s loudly', '“loudly” is not understood.', 22, []];
        yield [
            'if Desk hours storm end',
            'This is not understood.',
            13,
            ['if Desk hours open', 'if Desk hours lunch', 'if Desk hours closed'],
        ];
        yield ['if lunch', 'Something is missing at the end.', 8, []];
        yield ['forward somewhere', 'This is not understood.', 7, []];
    }

    /** Whatever a step says in its line is read back from it. */
    public function testALineThatIsWrittenGivesItsStep(): void
    {
        mt_srand(Soak::seed());
        $plan = self::plan();
        $pick = static fn(mixed ...$of): mixed => $of[array_rand($of)];
        for ($i = 0; $i < Soak::count(600); ++$i) {
            $exits = \array_slice(
                [['on' => '1', 'label' => $pick('', 'Sales', 'Up to ten')], ['on' => '*', 'label' => 'Again']],
                0,
                mt_rand(0, 2),
            );
            $step = $pick(
                [
                    'do' => 'ring',
                    'target' => $pick('team', 'ann', '+447700900123'),
                    'seconds' => mt_rand(1, 600),
                    'againMinutes' => $pick(0, 0, 5),
                    'greeting' => $pick(null, 'prm_storm'),
                    'greetAfter' => 10,
                ],
                ['do' => 'ring', 'target' => 'ann', 'handOver' => true],
                ['do' => 'say', 'prompt' => $pick('prm', 'prm_storm', 'prm_odd')],
                ['do' => 'message', 'mailbox' => $pick('mbx', 'mbx_odd')],
                ['do' => 'queue', 'queue' => 'que'],
                ['do' => 'hours', 'hours' => 'hrs'],
                [
                    'do' => 'menu',
                    'prompt' => $pick('prm_menu', 'prm_odd'),
                    'wait' => mt_rand(1, 60),
                    'tries' => mt_rand(1, 10),
                    'exits' => $exits,
                ],
                ['do' => 'go', 'journey' => $pick('jrn', 'jrn_odd'), 'comesBack' => $pick(true, false)],
                ['do' => 'again', 'up' => mt_rand(0, 2)],
                ['do' => 'end'],
                [
                    'do' => 'tag',
                    'label' => $pick('', 'Freight line'),
                    'language' => $pick(null, 'fr'),
                    'urgency' => $pick(null, 'urgent', 'can wait'),
                    'tone' => $pick('', 'Bell'),
                    'note' => 'Ask for the name',
                ],
                [
                    'do' => 'forward',
                    'number' => '+33261910100',
                    'line' => null,
                    'shows' => $pick(null, 'num_main'),
                    'digits' => $pick('', '1,2#'),
                ],
                [
                    'do' => 'park',
                    'site' => 'sit_harbour',
                    'place' => $pick('', '701'),
                    'seconds' => mt_rand(0, 900),
                    'prompt' => $pick(null, 'prm'),
                ],
                ['do' => 'fax', 'mailbox' => 'mbx', 'seconds' => mt_rand(1, 30), 'prompt' => $pick(null, 'prm_storm')],
                ['do' => 'directory', 'prompt' => 'prm_menu', 'part' => $pick('first', 'last', 'either')],
                ['do' => 'caller', 'exits' => $pick([['on' => 'clr']], [['on' => 'clr_2'], ['on' => 'clr']])],
            );
            \assert(\is_array($step));
            $whole = self::step($step);
            $line = StepLines::write($whole, $plan);
            self::assertNotNull($line);
            $typed = StepLines::read($line, $plan, 'GB');
            self::assertSame(['', []], [$typed->problem, $typed->made], $line);
            self::assertEquals($whole->toJson(), self::step((array) $typed->step)->toJson(), $line);
        }
    }

    public function testEveryKindOfStepIsTyped(): void
    {
        foreach (array_keys(Step::KINDS) as $kind) {
            $line = StepLines::write(self::step(['do' => $kind]), self::plan());
            self::assertSame(rtrim((string) $line), $line, $kind);
        }
    }

    /** @param array<mixed> $step */
    private static function step(array $step): Step
    {
        $read = Input::read(['id' => 'it'] + $step, StepKinds::read(...));
        \assert(null !== $read);

        return $read;
    }

    private static function plan(): Plan
    {
        $prompt = static fn(string $id, string $name): array => [
            'id' => $id,
            'kind' => 'prompt',
            'name' => $name,
            'scripts' => ['en' => 'Words'],
        ];
        $hours = (new PlanBuilder())->hours('hrs', []);

        return $hours
            ->with(['name' => 'Desk hours'] + $hours->data()['elements'][3])
            ->with(['id' => 'ann', 'kind' => 'person', 'name' => 'Bookings', 'site' => 'sit_harbour'])
            ->with([
                'id' => 'team',
                'kind' => 'team',
                'name' => 'Bookings desk',
                'pattern' => 'all at once',
                'members' => [],
            ])
            ->with(['id' => 'que', 'kind' => 'queue', 'name' => 'Queue 2, urgent', 'members' => []])
            ->with($prompt('prm', 'Closed'))
            ->with($prompt('prm_storm', 'Closed for the storm'))
            ->with($prompt('prm_e', 'Été'))
            ->with($prompt('prm_ete', 'Ete'))
            ->with($prompt('prm_quai', 'Fermé à quai'))
            ->with($prompt('prm_menu', 'Main menu'))
            ->with($prompt('prm_odd', 'Wait 5 s, 2 tries'))
            ->with(['id' => 'mbx', 'kind' => 'mailbox', 'name' => 'Reception'])
            ->with(['id' => 'mbx_odd', 'kind' => 'mailbox', 'name' => '24/7 (night), 20s'])
            ->with(['id' => 'jrn', 'kind' => 'journey', 'name' => 'Reception', 'steps' => []])
            ->with(['id' => 'jrn_odd', 'kind' => 'journey', 'name' => 'There and back', 'steps' => []])
            ->with(['id' => 'clr', 'kind' => 'callers', 'name' => 'Known', 'entries' => 'GB'])
            ->with(['id' => 'clr_2', 'kind' => 'callers', 'name' => 'Owing', 'entries' => 'FR'])
            ->plan();
    }
}
