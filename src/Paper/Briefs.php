<?php

declare(strict_types=1);

namespace Meandros\Server\Paper;

use Meandros\Core\Paper\Brief;
use Meandros\Core\Paper\Paper;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Wording\Catalog;
use Meandros\Core\Wording\Listed;
use Meandros\Server\Proof\ComingYear;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;

/** What callers hear and who answers over the coming year, in sentences; beside another plan, what came and what went is marked. */
final readonly class Briefs
{
    public function __construct(private Plans $plans, private Editions $editions, private ComingYear $year) {}

    /**
     * @param string                   $before another plan; empty for none
     * @param string                   $number by id; empty for all of them
     * @param \Closure(int, int): bool $goOn   told how many numbers were looked at, and of how many; whether there is time for more
     *
     * @return Paper|null null where there was no time
     *
     * @throws NotFound
     */
    public function write(string $which, string $before, string $number, string $language, \Closure $goOn): ?Paper
    {
        $fares = $this->fares($which);
        $other = '' === $before ? null : $this->fares($before);
        if ('' !== $number && null === $fares->plan->get(Number::class, $number)) {
            throw new NotFound('There is no such number in this plan.');
        }
        $ids = '' === $number ? [] : [$number];
        $of = \count($fares->numbers($ids)) + \count($other?->numbers($ids) ?? []);
        $done = 0;

        return Brief::of(
            $fares,
            Listed::capital($this->about($which, $before, Catalog::of('paper', $language))),
            $ids,
            $other,
            static function () use ($goOn, $of, &$done): bool {
                return $goOn($done++, $of);
            },
            $language,
        );
    }

    /** @throws NotFound */
    private function fares(string $which): Fares
    {
        $plan = $this->plans->get($which);
        [$from, $until] = $this->year->fromNow();

        return new Fares($plan, $from, $until, $this->year->live($plan));
    }

    private function about(string $which, string $before, Catalog $words): string
    {
        $name = fn(string $one): string => match ($one) {
            'draft' => $words->say('brief.draft'),
            'live' => $words->say('brief.live', ['edition' => $this->editions->live() ?? 0]),
            default => $words->say('brief.edition', ['edition' => $one]),
        };

        return '' === $before
            ? $name($which)
            : $words->say('brief.beside', ['which' => $name($which), 'before' => $name($before)]);
    }
}
