<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

use Doctrine\DBAL\Connection;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Alike;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\EachNumber;
use Meandros\Core\Proof\Totals;
use Meandros\Core\Proof\Touched;
use Meandros\Core\Time\YearPicture;
use Meandros\Server\Now;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\Plans;

/**
 * The coverage of every number over a year, in figures. What was found of the draft is kept in the process that does the work:
 * after an edit only the numbers are looked at anew that may come to what was changed.
 */
final class CoverAllNumbers implements JobKind
{
    public const NAME = 'coverage';
    private const DRAFT = 'draft';

    /** @var array{asked: string, revision: int, totals: array<string, array<string, mixed>>}|null of the draft as it was then, by what is dialled and where it leads */
    private ?array $kept = null;

    public function __construct(
        private readonly Plans $plans,
        private readonly Draft $draft,
        private readonly Live $live,
        private readonly Now $now,
        private readonly Connection $database,
    ) {}

    public function name(): string
    {
        return self::NAME;
    }

    public function run(array $input, Progress $progress): array
    {
        /** @var array{in: string, year: int, from: string} $input */
        $draft = self::DRAFT === $input['in'] ? $this->draft->read() : null;
        $plan = $draft->plan ?? $this->plans->get($input['in']);
        $live = $this->live->state($plan, $this->now->second());
        // A database that was brought back from a copy counts its revisions anew.
        // What nobody mentions may go, and calls depend on it.
        $unmentioned = [...$plan->all(OutsideLine::class), ...array_values($plan->mentioning(Number::MANY))];
        $asked = serialize([
            $input,
            $live,
            $this->database->fetchOne('SELECT incarnation FROM draft'),
            array_map(static fn(Element $one): string => $one->id(), $unmentioned),
        ]);
        $known = null === $draft ? [] : $this->known($plan, $asked);
        $totals = $this->totals($plan, $input, $live, $known, $progress);
        if (null !== $draft) {
            $this->kept = ['asked' => $asked, 'revision' => $draft->revision, 'totals' => $totals];
        }

        return [
            'year' => $input['year'],
            'numbers' => array_values($totals),
        ];
    }

    /**
     * @param array{in: string, year: int, from: string} $input
     * @param array<string, array<string, mixed>>        $known totals that are still so
     *
     * @return array<string, array<string, mixed>> totals of each number, by what is dialled and where it leads
     */
    private function totals(Plan $plan, array $input, LiveState $live, array $known, Progress $progress): array
    {
        $call = new TrialCall('', Caller::parse($input['from'], PhoneNumber::ANYWHERE), 0);
        /** @var array<string, AllNumbers> $all by zone, in each of which the year is another stretch */
        $all = [];
        $numbers = array_merge(
            ...array_map(static fn(Number $one): array => EachNumber::of($plan, $one), $plan->all(Number::class)),
        );
        $totals = $found = [];
        $alike = new Alike($plan);
        foreach ($numbers as $i => $number) {
            $zone = $plan->zoneOf($number->line->site);
            $fares = $zone . ' ' . $alike->of($number);
            $dialled = $number->range->number;
            // Whose a number of a block is may be another's now, though nobody changed the block.
            $name = $dialled . ' ' . $fares;
            $shown = ['id' => $number->id(), 'name' => $number->name(), 'number' => $dialled];
            if (isset($known[$name])) {
                $totals[$name] = $shown + $known[$name];
                continue;
            }
            $progress->at($i, \count($numbers));
            [$from, $until] = YearPicture::instants($zone, $input['year']);
            $all[$zone] ??= new AllNumbers($plan, $call, $from, $until, live: $live);
            $found[$fares] ??= Totals::of($all[$zone]->of($number), $zone)->toJson();
            $totals[$name] = $shown + $found[$fares];
        }

        return $totals;
    }

    /** @return array<string, array<string, mixed>> what was found before and cannot be otherwise now */
    private function known(Plan $plan, string $asked): array
    {
        if (null === $this->kept || $asked !== $this->kept['asked']) {
            return [];
        }
        // Nothing that is in use goes: who came to it is changed as well.
        $changed = array_map(
            static fn(mixed $id): string => \is_string($id) ? $id : '',
            $this->database->fetchFirstColumn('SELECT id FROM draft_element WHERE revision > ?', [
                $this->kept['revision'],
            ]),
        );

        $touched = Touched::numbers($plan, $changed);

        return array_filter(
            $this->kept['totals'],
            static fn(array $one): bool => \is_string($one['number']) && !isset($touched[$one['number']]),
        );
    }
}
