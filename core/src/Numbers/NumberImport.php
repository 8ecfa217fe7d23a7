<?php

declare(strict_types=1);

namespace Meandros\Core\Numbers;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\ByName;
use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\NumberBlock;
use Meandros\Core\Plan\Element\NumberLine;
use Meandros\Core\Plan\Element\NumberRange;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Plan\Target;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Reading\Problem;

/**
 * Rows of a file of numbers held against a plan: numbers that it has are changed, others are added. Sites and targets are
 * named; where nothing has the name of a target, a journey of that name may be made.
 */
final class NumberImport
{
    private const BLOCK = '–';

    /** @var ByName<TakesCalls> also the journeys that are made */
    private readonly ByName $targets;
    /** @var ByName<Site> */
    private readonly ByName $sites;
    /** @var array<string, Site> the first in each country */
    private array $countries = [];
    /** @var array<string, Number> single numbers, beginnings, and blocks by their first number */
    private array $known = [];
    /** @var array<string, true> the same, that have a row */
    private array $listed = [];
    /** @var array<string, int> lines by the same */
    private array $lines = [];

    /** @param \Closure(Kind): string $newId */
    private function __construct(
        private readonly Plan $plan,
        private readonly bool $makesJourneys,
        private readonly \Closure $newId,
    ) {
        $this->sites = new ByName($plan->all(Site::class));
        foreach ($plan->all(Site::class) as $site) {
            $this->countries[$site->place->country] ??= $site;
        }
        $this->targets = new ByName($plan->all(TakesCalls::class));
        foreach ($plan->all(Number::class) as $one) {
            $this->known[$one->range->number . (null === $one->range->block ? '' : self::BLOCK)] ??= $one;
        }
    }

    /**
     * @param list<NumberRow>        $rows
     * @param \Closure(Kind): string $newId
     *
     * @return list<NumberOutcome>
     */
    public static function outcomes(Plan $plan, array $rows, bool $makesJourneys, \Closure $newId): array
    {
        $import = new self($plan, $makesJourneys, $newId);
        foreach ($rows as $row) {
            try {
                $import->listed[self::named($import->typed($row), $row)] = true;
            } catch (InvalidData) {
                // It is said of the row itself.
            }
        }

        return array_map($import->outcome(...), $rows);
    }

    /** @throws InvalidData */
    private function typed(NumberRow $row): TypedNumber
    {
        $site = '' === $row->site ? null : $this->sites->first($row->site);
        $countries = null === $site ? array_keys($this->countries) : [$site->place->country];
        if (\count($countries) > 1 && 1 === preg_match('/^[^+].*\*$/D', $row->range->number)) {
            // Nothing in a beginning says in which of them it is dialled so.
            throw InvalidData::at('/number', 'beginning-of-which-country', [
                'number' => Input::quote($row->range->number),
                'countries' => $countries,
            ]);
        }

        return TypedNumber::in($countries, $row->range->number);
    }

    /** A number is told from the block that begins with it: it may be there by itself. */
    private static function named(TypedNumber $typed, NumberRow $row): string
    {
        return $typed->number . ('' === ($row->range->last ?? '') ? '' : self::BLOCK);
    }

    private static function other(string $named): string
    {
        return str_ends_with($named, self::BLOCK) ? substr($named, 0, -\strlen(self::BLOCK)) : $named . self::BLOCK;
    }

    private function outcome(NumberRow $row): NumberOutcome
    {
        $problems = [];
        $site = '' === $row->site ? null : $this->sites->first($row->site);
        if ('' !== $row->site && null === $site) {
            $problems['site'] = new Problem('/site', 'no-such-site', ['name' => $row->site]);
        }
        try {
            $typed = $this->typed($row);
        } catch (InvalidData $invalid) {
            return new NumberOutcome($row, null, null, ['number' => $invalid->problems[0]] + $problems);
        }
        $number = $typed->number;
        $named = self::named($typed, $row);
        if (isset($this->lines[$named])) {
            return new NumberOutcome(
                $row,
                null,
                null,
                ['number' => new Problem('/number', 'number-in-file', ['line' => $this->lines[$named]])] + $problems,
            );
        }
        $this->lines[$named] = $row->line;
        // A number may become a block, or a block a number, but not where the other has a row of its own.
        $same =
            $this->known[$named] ??
            (isset($this->listed[self::other($named)]) ? null : $this->known[self::other($named)] ?? null);
        $site ??= $this->plan->get(Site::class, $same?->line->site) ?? ($this->countries[$typed->country] ?? null);
        if (null === $site) {
            $problems['site'] = new Problem('/site', 'no-site-yet');
        }
        $language =
            '' === $row->language
                ? $same->line->language ?? ($site->place->language ?? '')
                : strtolower($row->language);
        if ('' !== $row->language && 1 !== preg_match('/^[a-z]{2}$/D', $language)) {
            $problems['language'] = new Problem('/language', 'not-a-language', [
                'code' => Input::quote($row->language),
            ]);
        }
        $block = self::block($row, $number, $same?->range->block, $site, $problems);
        if (null === $block && '' !== ($row->range->extension ?? '') && !isset($problems['last'])) {
            $problems['extension'] ??= new Problem('/extension', 'extension-without-block');
        }
        [$target, $made] = null === $row->target ? [$same?->target, null] : $this->target($row->target, $problems);
        if ([] !== $problems || null === $site) {
            return new NumberOutcome($row, null, null, $problems);
        }
        $name =
            '' === $row->label
                ? $same?->name() ?? PhoneNumber::international($number)
                : mb_substr($row->label, 0, Limits::NAME);
        $new = new Number(
            $same?->about()->named($name) ?? new About(($this->newId)(Kind::Number), $name),
            new NumberRange($number, $block),
            new NumberLine($site->id(), $language, $same->line->tellsCaller ?? true, $same?->line->keptUntil),
            $target,
        );

        return new NumberOutcome($row, $new, $same, [], null !== $same && $same->toJson() === $new->toJson(), $made);
    }

    /**
     * @param NumberBlock|null       $was      which holds where the file has no such column
     * @param array<string, Problem> $problems
     */
    private static function block(
        NumberRow $row,
        string $number,
        ?NumberBlock $was,
        ?Site $site,
        array &$problems,
    ): ?NumberBlock {
        $last = $row->range->last ?? ($was->last ?? '');
        if ('' === $last) {
            return null;
        }
        try {
            $last = PhoneNumber::parse($last, $site->place->country ?? PhoneNumber::ANYWHERE);

            return Input::read(
                ['last' => $last, 'extension' => $row->range->extension ?? ($was->extension ?? '')],
                static fn(Input $in): ?NumberBlock => NumberBlock::fromJson($in, $number),
            );
        } catch (InvalidData $invalid) {
            foreach ($invalid->problems as $problem) {
                $problems['/extension' === $problem->pointer ? 'extension' : 'last'] ??= $problem;
            }

            return null;
        }
    }

    /**
     * @param array<string, Problem> $problems
     *
     * @return array{Target|null, Journey|null} and the journey that is made for it, the first time
     */
    private function target(string $name, array &$problems): array
    {
        $name = mb_substr($name, 0, Limits::NAME);
        $found = $this->targets->all($name);
        if ('' === $name) {
            return [null, null];
        }
        if (\count($found) > 1) {
            $problems['target'] = new Problem('/target', 'target-not-one', ['many' => \count($found), 'name' => $name]);
        }
        if ([] !== $found) {
            return [Target::element($found[0]->id()), null];
        }
        if (!$this->makesJourneys) {
            $problems['target'] = new Problem('/target', 'no-such-target', ['name' => $name]);

            return [null, null];
        }
        $made = new Journey(new About(($this->newId)(Kind::Journey), $name), new StepList([]));
        $this->targets->add($made);

        return [Target::element($made->id()), $made];
    }
}
