<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Year\YearChecks;
use Meandros\Core\Routing\Router;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Soak;
use Meandros\Core\Time\Moment;
use PHPUnit\Framework\TestCase;

/** What is said never to happen in a year does not, whatever callers, phones and agents do: on drawn plans. */
final class NeverLawTest extends TestCase
{
    public function testIt(): void
    {
        $from = Moment::parse('2027-01-01T00:00', 'Europe/London');
        $found = 0;
        for ($seed = 1, $count = Soak::count(1); $seed <= $count; ++$seed) {
            foreach (DrawnCalls::KINDS as $kind) {
                $plan = DrawnCalls::of($kind, $seed)->plan;
                [$findings] = YearChecks::in(new Fares($plan, $from, $from + 365 * 86400), static fn(): bool => true);
                $never = array_filter(array_map(self::neverHappens(...), $findings));
                $found += \count($never);
                for ($i = 0; [] !== $never && $i < 100; ++$i) {
                    $month = mt_rand(1, 12);
                    $call = PlanBuilder::trial(
                        \sprintf('2027-%02d-%02dT%02d:%02d', $month, mt_rand(1, 28), mt_rand(0, 23), mt_rand(0, 59)),
                        from: ['', '+441632960777'][mt_rand(0, 1)],
                    );
                    $by = DrawnAssumptions::of(
                        ['ann/desk', 'ann/mobile', 'ben/desk', 'cid/desk', '+441632960987'],
                        ['ann', 'ben'],
                    );
                    $passage = (new Router())->trace($plan, $call, $by)->passage;
                    $happened = [];
                    foreach ($passage->visits as $visit) {
                        $happened[] = $visit->journey . ' ' . $visit->step;
                    }
                    foreach ($passage->rung as $rung) {
                        $happened[] = null === $rung->times->rings ? '' : (string) $rung->phone->owner->person;
                    }
                    self::assertSame([], array_intersect($never, $happened), "$kind $seed");
                }
            }
        }
        self::assertGreaterThan(0, $found);
    }

    /** @return string|null a step by its journey, or a person */
    private static function neverHappens(Finding $finding): ?string
    {
        $element = $finding->element;
        if ('step-never-reached' === $finding->code && $element instanceof Journey) {
            foreach ($element->steps->everyStep('/steps') as $pointer => $step) {
                if ($pointer === $finding->pointer) {
                    return $element->id() . ' ' . $step->id();
                }
            }
        }

        return 'person-never-rung' === $finding->code ? $element->id() : null;
    }
}
