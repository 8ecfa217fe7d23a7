<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Promised\Breach;
use Meandros\Core\Proof\Promised\Held;
use Meandros\Core\Proof\Promised\Keepings;
use Meandros\Core\Proof\Times;
use Meandros\Core\Time\Moment;

/** What became of a promise, as JSON: the data, and beside it the words. */
final readonly class PromiseReport
{
    /** Ways in which it is broken, and intervals of each, that are told; of more, how many there are. */
    private const MOST = 12;
    private const INTERVALS = 60;
    private const NUMBERS = 5;

    private PromiseWords $words;
    private CourseWords $courses;

    /**
     * @param int $from  first instant of the stretch that was looked at
     * @param int $until first instant after it
     */
    public function __construct(private Plan $plan, private int $from, private int $until)
    {
        $this->words = new PromiseWords($plan);
        $this->courses = new CourseWords($plan);
    }

    /** @return array{state: string, left: int, ...} */
    public function of(Held $held): array
    {
        $ways = $this->ways($held);

        return [
            'id' => $held->expectation->id(),
            'name' => $held->expectation->name(),
            'sentence' => $this->words->parts($held->expectation),
            'state' => match (true) {
                !$held->isKept() => 'broken',
                $held->left > 0 => 'not looked at',
                !$held->applies => 'never due',
                default => 'kept',
            },
            'isComplete' => $held->isComplete,
            'left' => $held->left,
            'phones' => match (true) {
                [] === Keepings::phones($held->expectation->promise) => 'no matter',
                $held->whatever => 'whatever they do',
                default => 'ring on',
            },
            'ways' => \count($ways),
            'breaches' => array_map($this->breach(...), \array_slice($ways, 0, self::MOST)),
        ];
    }

    /** What becomes of the calls. */
    public function what(Breach $breach): string
    {
        return $this->courses->takes($breach->by);
    }

    /** @return list<non-empty-list<Breach>> those together of which the same is told, whatever is pressed */
    public function ways(Held $held): array
    {
        $ways = [];
        foreach ($held->breaches as $one) {
            $numbers = array_map(static fn(Number $number): string => $number->range->number, $one->numbers);
            $same = [$numbers, $one->caller->text, $one->phones, $one->times->packed, $this->what($one)];
            $ways[serialize($same)][] = $one;
        }

        return array_values($ways);
    }

    /**
     * @param non-empty-list<Breach> $alike
     *
     * @return array<string, mixed>
     */
    private function breach(array $alike): array
    {
        $breach = $alike[0];
        $others = array_map(static fn(Breach $one): array => $one->keys, \array_slice($alike, 1));
        $zone = $this->plan->zoneOf($breach->numbers[0]->line->site);

        return [
            'numbers' => array_map(
                static fn(Number $one): array => [
                    'id' => $one->id(),
                    'name' => $one->name(),
                    'number' => $one->range->example(),
                ],
                \array_slice($breach->numbers, 0, self::NUMBERS),
            ),
            'more' => max(0, \count($breach->numbers) - self::NUMBERS),
            'caller' => $breach->caller->text,
            'keys' => $breach->keys,
            ...[] === $others ? [] : ['alsoKeys' => $others],
            'phones' => $breach->phones?->value,
            'what' => $this->what($breach),
            'when' => TimesWords::of(Times::of($breach->times->all(), $this->from, $this->until, $zone)),
            'count' => $breach->times->count(),
            'intervals' => array_map(
                static fn(array $one): array => [Moment::format($one[0], $zone), Moment::format($one[1], $zone)],
                $breach->times->first(self::INTERVALS),
            ),
        ];
    }
}
