<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use Meandros\Core\Check\Checks;
use Meandros\Core\Check\Finding;
use Meandros\Core\Cli\Application;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Year\YearChecks;
use Meandros\Core\Tests\Proof\DrawnAssumptions;
use Meandros\Core\Tests\Proof\DrawnCalls;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\FindingWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Drawn plans, of which nobody chose what is in them: what is told of calls, of weeks, of one beside the next, and found. */
final class DrawnToldTest extends TestCase
{
    private const EACH = 4;
    private const AT = '--at 2027-05-10T10:30';

    /** What is promised of calls to all numbers, at times of their hours or of the clock. */
    private const PROMISES = [
        ['that' => 'rings', 'who' => null, 'within' => 12],
        ['that' => 'rings', 'who' => 'ann', 'within' => null],
        ['that' => 'never rings', 'who' => 'ben'],
        ['that' => 'ends with', 'outcomes' => ['message', 'person']],
        ['that' => 'is over within', 'seconds' => 45],
        ['that' => 'hears', 'prompt' => 'prm_b'],
        ['that' => 'never hears', 'prompt' => 'prm_a'],
    ];
    private const ALWAYS = ['hours' => null, 'states' => [], 'calendar' => null, 'windows' => []];
    private const TIMES = [
        self::ALWAYS,
        ['hours' => 'hrs_a', 'states' => ['open']] + self::ALWAYS,
        ['windows' => [['days' => ['mo', 'sa'], 'from' => '08:30', 'to' => '13:00']]] + self::ALWAYS,
    ];

    #[DataProvider('kinds')]
    public function testIt(string $kind): void
    {
        $told = '';
        for ($seed = 101, $before = null; $seed < 101 + self::EACH; ++$seed, $before = $plan) {
            $plan = DrawnCalls::of($kind, $seed)->plan;
            $told .= "# $seed\n" . self::told($plan, $before);
        }
        Told::same(\sprintf('%s/told/drawn/%s.txt', __DIR__, strtr($kind, ' ', '-')), $told);
    }

    /** @return iterable<string, array{string}> */
    public static function kinds(): iterable
    {
        foreach (DrawnCalls::KINDS as $kind) {
            yield $kind => [$kind];
        }
    }

    private static function told(Plan $plan, ?Plan $before): string
    {
        $told = self::found($plan);
        for ($i = 0; $i < 4; ++$i) {
            $by = DrawnAssumptions::data(DrawnAssumptions::phones($plan), ['ann', 'ben']);
            $at = \sprintf('--at 2027-05-%02dT%02d:%02d', mt_rand(1, 28), mt_rand(6, 20), mt_rand(0, 59));
            $from = 0 === $i % 2 ? ' --from +441632960777' : '';
            $told .= self::said("trace PLAN --to +441632960100$from $at --assume BY", ['PLAN' => $plan, 'BY' => $by]);
        }
        $told .= self::said('check PLAN --days 9 ' . self::AT, ['PLAN' => self::promised($plan)]);
        $told .= self::said('coverage PLAN --to +441632960100 --days 40 ' . self::AT, ['PLAN' => $plan]);
        if (null !== $before) {
            $both = ['BEFORE' => $before, 'PLAN' => $plan];
            $told .= self::said('impact BEFORE PLAN --days 20 ' . self::AT, $both);
            $told .= self::said('brief PLAN BEFORE --days 40 ' . self::AT, $both);
        }

        return $told;
    }

    private static function promised(Plan $plan): Plan
    {
        foreach (self::PROMISES as $i => $promise) {
            $plan = $plan->with(
                PlanCodec::element([
                    'id' => 'exp_' . $i,
                    'kind' => 'expectation',
                    'name' => 'Promise ' . $i,
                    'calls' => ['to' => [], 'from' => [], 'keys' => [null, [], ['1']][intdiv($i, 3)]],
                    'when' => self::TIMES[$i % 3],
                    'promise' => $promise,
                ]),
            );
        }

        return $plan;
    }

    private static function found(Plan $plan): string
    {
        $from = Moment::parse('2027-01-01T00:00', 'Europe/London');
        [$ofTheYear] = YearChecks::in(new Fares($plan, $from, $from + 365 * 86400), static fn(): bool => true);
        $told = '';
        foreach ([...Checks::in($plan, $from), ...$ofTheYear] as $one) {
            \assert($one instanceof Finding);
            $told .= Told::json(FindingWords::report($one)) . "\n";
        }

        return $told;
    }

    /** @param array<string, mixed> $files what is in them, by what they are called in the command */
    private static function said(string $command, array $files): string
    {
        $names = [];
        foreach ($files as $name => $of) {
            $names[$name] = (string) tempnam(sys_get_temp_dir(), 'drawn');
            file_put_contents($names[$name], $of instanceof Plan ? PlanCodec::encode($of) : Told::json($of));
        }
        $told = '';
        $out = static function (string $text) use (&$told): void {
            $told .= $text;
        };
        Application::run(explode(' ', strtr($command, $names)), $out, $out);
        array_map(unlink(...), $names);

        return \sprintf("## %s\n%s\n", $command, strtr($told, array_flip($names)));
    }
}
