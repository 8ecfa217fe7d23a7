<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Totals;
use Meandros\Core\Time\YearPicture;
use Meandros\Server\Now;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\Plans;

/** The coverage of every number over a year, in figures. */
final readonly class CoverAllNumbers implements JobKind
{
    public const NAME = 'coverage';

    public function __construct(private Plans $plans, private Live $live, private Now $now) {}

    public function name(): string
    {
        return self::NAME;
    }

    public function run(array $input, Progress $progress): array
    {
        /** @var array{in: string, year: int, from: string} $input */
        $plan = $this->plans->get($input['in']);
        $call = new TrialCall('', Caller::parse($input['from'], 'ZZ'), 0);
        $live = $this->live->state($plan, $this->now->second());
        /** @var array<string, AllNumbers> $all by zone, in each of which the year is another stretch */
        $all = [];
        $numbers = $plan->all(Number::class);
        $rows = $totals = [];
        foreach ($numbers as $i => $number) {
            $progress->at($i, \count($numbers));
            $zone = $plan->get(Site::class, $number->site)->zone ?? 'UTC';
            [$from, $until] = YearPicture::instants($zone, $input['year']);
            $all[$zone] ??= new AllNumbers($plan, $call, $from, $until, live: $live);
            $alike = $zone . ' ' . AllNumbers::alike($number);
            $totals[$alike] ??= Totals::of($all[$zone]->of($number), $zone)->toJson();
            $rows[] = ['id' => $number->id()] + $totals[$alike];
        }

        return ['year' => $input['year'], 'numbers' => $rows];
    }
}
