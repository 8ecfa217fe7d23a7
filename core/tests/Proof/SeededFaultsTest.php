<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Check\Checks;
use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\PlanImpact;
use Meandros\Core\Proof\Promised\Holding;
use Meandros\Core\Proof\Severity;
use Meandros\Core\Proof\Year\YearChecks;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\Moment;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Mistakes that are easily made, one at a time in the demo plan: each is refused, found, breaks what is expected, or is told of
 * among what an edit does to callers. Of the untouched demo only what is known is told.
 */
final class SeededFaultsTest extends TestCase
{
    private const NOW = '2026-11-30T00:00';
    private const DAYS = 366;
    /** Christmas is among them. */
    private const FEW_DAYS = 35;

    /** @var array{Plan, AllNumbers, Fares}|null */
    private static ?array $untouched = null;

    public static function tearDownAfterClass(): void
    {
        self::$untouched = null;
    }

    /** What was looked at is large, and refers to itself. */
    protected function tearDown(): void
    {
        gc_collect_cycles();
    }

    /** @param \Closure(array<string, array<string, mixed>>): array<string, array<string, mixed>> $mistake elements by id */
    #[DataProvider('mistakes')]
    public function testAMistakeIsCaught(\Closure $mistake, string $by): void
    {
        $data = self::demo();
        $elements = $mistake(array_column($data['elements'], null, 'id'));
        [$kind, $what] = explode(' ', $by, 2);
        try {
            $plan = PlanCodec::fromData(['elements' => array_values($elements)] + $data);
        } catch (InvalidData $invalid) {
            self::assertSame($by, 'refused ' . $invalid->problems[0]->code);

            return;
        }
        $caught = match ($kind) {
            'finding' => self::findings($plan),
            'year' => self::yearFindings($plan),
            'expectation' => self::broken($plan, $what),
            default => self::impact($plan),
        };
        self::assertContains($what, $caught, implode(' ', $caught));
    }

    public function testOfTheUntouchedDemoOnlyWhatIsKnownIsTold(): void
    {
        $plan = PlanCodec::fromData(self::demo());
        self::assertSame(['key-promised-missing'], self::findings($plan), 'It shows what a finding is.');
        self::assertSame(['direct-line-runs-out', 'number-runs-out'], self::yearFindings($plan), 'They are put aside.');
        self::assertNotNull($plan->settings()->silence('num_paris', 'number-runs-out', 21_000));
        self::assertNotNull($plan->settings()->silence('per_dana', 'direct-line-runs-out', 21_000));
        self::assertSame(['exp_port_sleeps'], self::broken($plan), 'It shows what is broken.');
        self::assertSame([], self::impact($plan));
    }

    /** @return iterable<string, array{\Closure(array<string, array<string, mixed>>): array<string, array<string, mixed>>, string}> */
    public static function mistakes(): iterable
    {
        yield 'lunch ends a minute early' => [
            self::set('hrs_bookings', '/week/1/to', '13:29'),
            'year edges-differ-by-minutes',
        ];
        yield 'it closes a minute early' => [
            self::set('hrs_reception', '/week/0/to', '17:29'),
            'impact nobody any more',
        ];
        yield 'the wrong time zone' => [self::set('hrs_port', '/zone', 'Europe/London'), 'impact nobody any more'];
        yield 'no holidays any more' => [self::set('hrs_bookings', '/calendars', []), 'expectation exp_holidays_said'];
        yield 'the wrong words on holidays' => [
            self::set('jrn_bookings', '/steps/0/exits/1/steps/0/prompt', 'prm_bookings_closed'),
            'expectation exp_holidays_said',
        ];
        yield 'dates typed in for one year' => [
            self::set('cal_france', '/holidays', [
                ['id' => 'christmas', 'name' => 'Christmas', 'rule' => ['on' => 'dates', 'dates' => ['2026-12-25']]],
            ]),
            'finding calendar-runs-out',
        ];
        yield 'the default is open' => [self::set('hrs_reception', '/default', 'open'), 'impact somebody now'];
        yield 'a day is forgotten' => [self::set('hrs_lost', '/week/0/days', ['mo', 'we']), 'impact nobody any more'];
        yield 'a number is mistyped' => [self::set('num_fax', '/number', '+441632960177'), 'impact gone'];
        yield 'a number is left out' => [
            static fn(array $elements): array => array_diff_key($elements, ['num_fax' => true]),
            'impact gone',
        ];
        yield 'the message at the end is gone' => [self::gone('jrn_lost', '/steps', 2), 'year calls-run-out'];
        yield 'the message at night is gone' => [
            self::gone('jrn_bookings', '/steps/0/exits/0/steps', 1),
            'impact somebody now',
        ];
        yield 'steps after an end' => [
            self::set('jrn_groups', '/steps/0', ['id' => 's1', 'do' => 'end']),
            'finding unreachable-step',
        ];
        yield 'a key without its words' => [
            self::gone('jrn_main', '/steps/2/exits', 2),
            'finding key-promised-missing',
        ];
        yield 'a key that leads elsewhere' => [
            self::set('jrn_main', '/steps/2/exits/3/steps/0/journey', 'jrn_groups'),
            'impact somebody else',
        ];
        yield 'an empty team' => [self::set('team_port', '/members', []), 'finding empty-team'];
        yield 'a queue nobody works in' => [self::set('que_lunch', '/members', []), 'finding queue-without-agents'];
        yield 'a wait without end' => [
            self::set('que_bookings', '/waiting/longestSeconds', 3600),
            'year waits-too-long',
        ];
        yield 'words that were taken out' => [
            self::set('prm_bookings_closed', '/scripts', ['en' => '']),
            'finding prompt-without-words',
        ];
        yield 'the French words are gone' => [
            self::set('prm_welcome', '/scripts', ['en' => 'Welcome to Ternwick Ferries.']),
            'year said-in-another-language',
        ];
        yield 'a number without a target' => [
            self::set('num_groups', '/target', null),
            'finding number-without-target',
        ];
        yield 'a number to the wrong journey' => [
            self::set('num_sailings', '/target', 'jrn_bookings'),
            'expectation exp_sailings',
        ];
        yield 'a mailbox nobody looks at' => [
            self::set('mbx_port', '/owners', [], '/notify', []),
            'finding mailbox-for-nobody',
        ];
        yield 'a mailbox without a greeting' => [self::set('mbx_bookings', '/greeting', null), 'impact details'];
        yield 'an empty list of callers' => [self::set('clr_accounts', '/entries', ''), 'finding empty-caller-list'];
        yield 'callers led round in a circle' => [
            self::set('jrn_reception', '/steps/3', ['id' => 's9', 'do' => 'go', 'journey' => 'jrn_main']),
            'expectation exp_main_silent',
        ];
        yield 'nobody at night' => [
            self::set('jrn_freight', '/steps/1/exits/0/steps/1', ['id' => 's2', 'do' => 'end']),
            'expectation exp_freight_night',
        ];
        yield 'recorded without a word' => [
            self::set('que_bookings', '/recording/notice', null),
            'finding recorded-untold',
        ];
        yield 'an extension that is taken' => [self::set('per_ines', '/extension', '200'), 'refused extension-taken'];
        yield 'a team that is still used is deleted' => [
            static fn(array $elements): array => array_diff_key($elements, ['team_lost' => true]),
            'refused not-in-plan',
        ];
        yield 'no emergency calls' => [
            self::set('line_ternwick', '/destinations', ['internal']),
            'finding call-not-carried',
        ];
        yield 'a phone that everybody thinks is on' => [
            self::set('per_reception', '/phones/0/on', false),
            'impact somebody else',
        ];
        yield 'two states taken for one another' => [
            self::set('jrn_bookings', '/steps/0/exits/0/on', 'lunch', '/steps/0/exits/2/on', 'closed'),
            'impact nobody any more',
        ];
        yield 'overlapping bands' => [self::set('hrs_port', '/week/0/to', '12:30'), 'refused band-overlaps'];
        yield 'the queue is passed by' => [self::gone('jrn_bookings', '/steps', 2), 'impact somebody else'];
        yield 'the port office at night' => [self::set('hrs_lost', '/default', 'open'), 'expectation exp_lost_sundays'];
    }

    /** @return \Closure(array<string, array<string, mixed>>): array<string, array<string, mixed>> puts values at pointers in an element */
    private static function set(string $id, mixed ...$places): \Closure
    {
        return static function (array $elements) use ($id, $places): array {
            foreach (array_chunk($places, 2) as [$pointer, $value]) {
                $at = &$elements[$id];
                foreach (\array_slice(explode('/', $pointer), 1) as $name) {
                    self::assertArrayHasKey($name, $at, $pointer);
                    $at = &$at[$name];
                }
                self::assertNotSame($value, $at);
                $at = $value;
                unset($at);
            }

            return $elements;
        };
    }

    /** @return \Closure(array<string, array<string, mixed>>): array<string, array<string, mixed>> takes something out of a list */
    private static function gone(string $id, string $pointer, int $place): \Closure
    {
        return static function (array $elements) use ($id, $pointer, $place): array {
            $at = &$elements[$id];
            foreach (\array_slice(explode('/', $pointer), 1) as $name) {
                $at = &$at[$name];
            }
            self::assertArrayHasKey($place, $at);
            array_splice($at, $place, 1);
            unset($at);

            return $elements;
        };
    }

    /** @return array{elements: list<array<string, mixed>>, ...} */
    private static function demo(): array
    {
        return json_decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'), true);
    }

    private static function now(): int
    {
        return Moment::parse(self::NOW, 'Europe/London');
    }

    /** @return list<string> codes */
    private static function findings(Plan $plan): array
    {
        return self::codes(Checks::in($plan, self::now()));
    }

    /** @return list<string> codes */
    private static function yearFindings(Plan $plan): array
    {
        $fares = new Fares($plan, self::now(), self::now() + self::DAYS * 86400);

        return self::codes(YearChecks::in($fares, static fn(): bool => true)[0]);
    }

    /**
     * @param list<Finding> $findings
     *
     * @return list<string>
     */
    private static function codes(array $findings): array
    {
        return array_values(array_unique(array_map(static fn(Finding $one): string => $one->code, $findings)));
    }

    /** @return list<string> expectations, by id */
    private static function broken(Plan $plan, ?string $only = null): array
    {
        $holding = new Holding(new Fares($plan, self::now(), self::now() + self::FEW_DAYS * 86400));
        $broken = array_filter(
            $plan->all(Expectation::class),
            static fn(Expectation $one): bool => \in_array($only, [null, $one->id()], true) &&
                !$holding->hold([$one], static fn(): bool => true)[0]->isKept(),
        );

        return array_values(array_map(static fn(Expectation $one): string => $one->id(), $broken));
    }

    /** @return list<string> severities */
    private static function impact(Plan $plan): array
    {
        $all = static fn(Plan $one): AllNumbers => new AllNumbers(
            $one,
            new TrialCall('', Caller::withheld(), 0),
            self::now(),
            self::now() + self::FEW_DAYS * 86400,
        );
        $fares = static fn(Plan $one): Fares => new Fares($one, self::now(), self::now() + self::FEW_DAYS * 86400);
        if (null === self::$untouched) {
            // What becomes of calls to the demo as it is is looked at once.
            $before = PlanCodec::fromData(self::demo());
            self::$untouched = [$before, $all($before), $fares($before)];
        }
        $impact = new PlanImpact(PlanImpact::numbers(self::$untouched[0], $plan), self::$untouched[1], $all($plan), [
            self::$untouched[2],
            $fares($plan),
        ]);
        [$changed] = $impact->find(static fn(Number $_, array $changes): array => $changes, static fn(): bool => true);
        $severities = [] === PlanImpact::onlyIn(self::$untouched[0], $plan) ? [] : [Severity::Gone->value => true];
        foreach ($changed as [, $changes]) {
            foreach ($changes as $change) {
                $severities[$change->severity->value] = true;
            }
        }

        return array_keys($severities);
    }
}
