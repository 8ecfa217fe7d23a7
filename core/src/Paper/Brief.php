<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\EachNumber;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Promised\Holding;
use Meandros\Core\Proof\Totals;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Zone;
use Meandros\Core\Wording\Listed;
use Meandros\Core\Wording\PromiseWords;

/**
 * A plan as a director reads and signs it: for each number what callers hear and who answers, by the states of hours, in sentences;
 * when the hours that were named are in which state; and what is promised. Beside another plan, what came and what went is marked.
 */
final class Brief
{
    private const NAMED = 6;
    private const YEAR = 365;

    private readonly CallsInBrief $calls;
    private readonly Holding $holding;
    /** @var array<string, bool> whether what is promised is kept, by expectation: of those that are about a number that was told of */
    private array $areKept = [];

    private function __construct(private readonly Fares $fares, private readonly PaperWords $words)
    {
        $this->calls = new CallsInBrief($fares, $words);
        $this->holding = new Holding($fares);
    }

    /**
     * @param string           $about    which plan it is, in the language of the brief
     * @param list<string>     $ids      of numbers; none for all of them
     * @param Fares|null       $before   another plan over the same stretch
     * @param \Closure(): bool $goOn     asked before each number, of either plan; whether there is time for it
     * @param string           $language one of PaperWords::LANGUAGES
     *
     * @return Paper|null null where there was no time
     */
    public static function of(
        Fares $fares,
        string $about,
        array $ids,
        ?Fares $before,
        \Closure $goOn,
        string $language = 'en',
    ): ?Paper {
        $words = new PaperWords($fares->plan, $language);
        $self = new self($fares, $words);
        $other = null === $before ? null : new self($before, new PaperWords($before->plan, $language));
        $chapters = [];
        foreach ($fares->numbers($ids) as $numbers) {
            if (!$goOn()) {
                return null;
            }
            $chapters[] = $self->chapter($numbers, $other);
            $self->hold($numbers);
        }
        foreach ($before?->numbers($ids) ?? [] as $numbers) {
            if (!$goOn()) {
                return null;
            }
            $other?->hold($numbers);
        }
        usort($chapters, static fn(Chapter $a, Chapter $b): int => strnatcasecmp($a->heading->text, $b->heading->text));
        $zone = ($fares->plan->all(Site::class)[0] ?? null)->place->zone ?? 'UTC';
        $states = $self->states($other);
        $promises = $self->promises([] === $ids, $other);
        $day = CivilDate::ofLocalSecond(Zone::around($zone, $fares->from)->localOf($fares->from));

        $days = intdiv($fares->until - $fares->from, CivilDate::SECONDS_PER_DAY);

        return new Paper(
            $language,
            $fares->plan->name,
            $words->say($days < self::YEAR ? 'brief.about-days' : 'brief.about', [
                'which' => $about,
                'date' => $words->date($day),
                'days' => $days,
            ]) . ([] === $states ? '' : ' ' . $words->say('brief.exact')),
            [
                ...$chapters,
                ...[] === $states ? [] : [new Chapter(new Heading($words->say('chapter.states')), lines: $states)],
                ...[] === $promises
                    ? []
                    : [new Chapter(new Heading($words->say('chapter.promised')), lines: $promises)],
            ],
            $words->signing(),
        );
    }

    /** @param non-empty-list<Number> $numbers to which calls fare alike */
    private function chapter(array $numbers, ?self $other): Chapter
    {
        $zone = $this->fares->plan->zoneOf($numbers[0]->line->site);
        $coverage = $this->fares->coverage($numbers[0], $this->fares->anybody(), []);
        $totals = Totals::of($coverage, $zone);
        $names = array_map(
            fn(Number $one): string => $this->words->say($this->standsForOthers($one) ? 'brief.such' : 'brief.number', [
                'name' => $one->name(),
                'number' => PhoneNumber::international($one->range->example()),
            ]),
            \array_slice($numbers, 0, self::NAMED),
        );
        $more = \count($numbers) - \count($names);
        $lines = $this->calls->lines($numbers[0], $zone);
        $was = null === $other ? null : self::same($other->fares->plan, $numbers[0]);

        return new Chapter(
            new Heading($this->heading($numbers)),
            [
                Listed::more(implode(' · ', $names), $more, $this->words->language),
                $this->words->say('brief.reached', [
                    'hours' => $this->words->decimal($totals->usualWeek / 3600),
                    'without' => $totals->daysWithout,
                    'days' => $totals->days,
                ]),
            ],
            lines: null === $other
                ? $lines
                : self::marked(null === $was ? [] : $other->calls->lines($was, $zone), $lines),
            picture: self::picture($coverage, $zone),
        );
    }

    /** Whether it is one of many that lead to the same. */
    private function standsForOthers(Number $number): bool
    {
        $own = $this->fares->plan->get(Number::class, $number->id());

        return true === $own?->range->isMany() && $own->target?->element === $number->target?->element;
    }

    /** The number in another plan, whatever is dialled for it there; one of many that begin alike, or of a block, by what is dialled. */
    private static function same(Plan $plan, Number $number): ?Number
    {
        $own = $plan->get(Number::class, $number->id());

        return true === $own?->range->isMany() ? EachNumber::in($plan, $number->range->number) : $own;
    }

    /**
     * Many numbers are called after what they lead to.
     *
     * @param non-empty-list<Number> $numbers
     */
    private function heading(array $numbers): string
    {
        $target = 1 === \count($numbers) ? null : $this->fares->plan->find($numbers[0]->target?->element);

        return $target?->name() ?? $numbers[0]->name();
    }

    /** Of the first whole week; null where there is none. */
    private static function picture(Coverage $coverage, string $zoneName): ?WeekPicture
    {
        $zone = Zone::over($zoneName, $coverage->starts[0], $coverage->until);
        $day = CivilDate::ofLocalSecond($zone->localOf($coverage->starts[0])) + 1;
        $monday = $day + ((7 - CivilDate::weekday($day)) % 7);

        return $zone->midnightOf($monday + 7) > $coverage->until
            ? null
            : WeekPicture::of($coverage, $monday, $zoneName);
    }

    /** @return list<Line> */
    private function states(?self $other): array
    {
        $lines = $this->calls->states();

        return null === $other ? $lines : self::marked($other->calls->states(), $lines);
    }

    /** @param non-empty-list<Number> $numbers */
    private function hold(array $numbers): void
    {
        foreach ($this->fares->plan->all(Expectation::class) as $one) {
            // Once broken, it is broken.
            $isKept = false === ($this->areKept[$one->id()] ?? null) ? null : $this->holding->isKeptOf($one, $numbers);
            null === $isKept || ($this->areKept[$one->id()] = $isKept);
        }
    }

    /** @return list<Line> */
    private function promises(bool $isOfAll, ?self $other): array
    {
        $lines = $this->promised($isOfAll);

        return null === $other ? $lines : self::marked($other->promised($isOfAll), $lines);
    }

    /**
     * @param bool $isOfAll whether it is also told what is about no number, or else only what is about those that are told of
     *
     * @return list<Line>
     */
    private function promised(bool $isOfAll): array
    {
        $promises = new PromiseWords($this->fares->plan, $this->words->language);
        $told = array_filter(
            $this->fares->plan->all(Expectation::class),
            fn(Expectation $one): bool => $isOfAll || isset($this->areKept[$one->id()]),
        );

        return array_map(
            fn(Expectation $one): Line => new Line(
                $this->words->say($this->areKept[$one->id()] ?? true ? 'brief.kept' : 'brief.not-kept', [
                    'name' => $one->name(),
                    'promise' => $promises->sentence($one),
                ]),
            ),
            array_values($told),
        );
    }

    /**
     * The lines of both, in the order of a document that is read on: what went stands before what came in its place.
     *
     * @param list<Line> $before
     * @param list<Line> $after
     *
     * @return list<Line>
     */
    private static function marked(array $before, array $after): array
    {
        $text = static fn(Line $line): string => $line->depth . $line->text;
        [$was, $is] = [array_map($text, $before), array_map($text, $after)];
        $lines = $came = [];
        $i = 0;
        foreach ($after as $j => $line) {
            $kept = array_search($is[$j], \array_slice($was, $i, null, true), true);
            if (false === $kept) {
                $came[] = new Line($line->text, Line::ADDED, $line->depth);
                continue;
            }
            for (; $i < $kept; ++$i) {
                $lines[] = new Line($before[$i]->text, Line::REMOVED, $before[$i]->depth);
            }
            ++$i;
            array_push($lines, ...$came, ...[$line]);
            $came = [];
        }
        foreach (\array_slice($before, $i) as $gone) {
            $lines[] = new Line($gone->text, Line::REMOVED, $gone->depth);
        }

        return [...$lines, ...$came];
    }
}
