<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Alike;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\EachNumber;
use Meandros\Core\Proof\Known;
use Meandros\Core\Proof\Totals;
use Meandros\Core\Time\YearPicture;
use Meandros\Server\Now;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\Plans;

/**
 * The coverage of every number over a year, in figures. What was found is kept in the process that does the work:
 * after an edit only the numbers are looked at anew that may come to what was changed.
 */
final class CoverAllNumbers implements JobKind
{
    public const NAME = 'coverage';

    /** Of the plan that was looked at last. */
    private ?Known $known = null;

    public function __construct(
        private readonly Plans $plans,
        private readonly Live $live,
        private readonly Now $now,
    ) {}

    public function name(): string
    {
        return self::NAME;
    }

    public function run(array $input, Progress $progress): array
    {
        /** @var array{in: string, year: int, from: string} $input */
        $plan = $this->plans->get($input['in']);
        $live = $this->live->state($plan, $this->now->second());
        $this->known = Known::after($this->known, $plan, $live, serialize($input));
        $totals = $this->totals($plan, $input, $live, $this->known, $progress);

        return [
            'year' => $input['year'],
            'numbers' => $totals,
        ];
    }

    /**
     * @param array{in: string, year: int, from: string} $input
     *
     * @return list<array<string, mixed>> totals of each number
     */
    private function totals(Plan $plan, array $input, LiveState $live, Known $known, Progress $progress): array
    {
        $call = new TrialCall('', Caller::parse($input['from'], PhoneNumber::ANYWHERE), 0);
        /** @var array<string, AllNumbers> $all by zone, in each of which the year is another stretch */
        $all = [];
        $numbers = array_merge(
            ...array_map(static fn(Number $one): array => EachNumber::of($plan, $one), $plan->all(Number::class)),
        );
        /** @var array<string, Totals> $found of numbers to which calls fare alike */
        $found = [];
        $totals = [];
        $alike = new Alike($plan);
        foreach ($numbers as $i => $number) {
            $zone = $plan->zoneOf($number->line->site);
            // Whose a number of a block is may be another's now, though nobody changed the block.
            $fares = $zone . ' ' . $alike->of($number);
            $known->has($number, $fares) || $progress->at($i, \count($numbers));
            $look = static function () use (
                $plan,
                $call,
                $input,
                $live,
                $zone,
                $number,
                $fares,
                &$all,
                &$found,
            ): Totals {
                [$from, $until] = YearPicture::instants($zone, $input['year']);
                $all[$zone] ??= new AllNumbers($plan, $call, $from, $until, live: $live);

                return $found[$fares] ??= Totals::of($all[$zone]->of($number), $zone);
            };
            $totals[] = [
                'id' => $number->id(),
                'name' => $number->name(),
                'number' => $number->range->number,
                ...$known->of($number, $fares, $look)->toJson(),
            ];
        }

        return $totals;
    }
}
