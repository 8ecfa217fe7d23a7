<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Plan;

use Meandros\Core\Wording\LanguageName;

/** The paper of a plan: its numbers, what callers go through, hours and holidays of the year ahead, who rings, what is said, and why it is so. */
final class PaperOfPlan
{
    /**
     * @param string $language one of PaperWords::LANGUAGES
     * @param string $edition  the number of the edition; empty for the draft
     * @param int    $day      on which it is made, days since 1970: the year ahead begins there
     */
    public static function of(Plan $plan, string $language, string $edition, int $day): Paper
    {
        $words = new PaperWords($plan, $language);
        $journeys = new JourneyOnPaper($plan, $words);
        $hours = new HoursOnPaper($plan, $words, $day);
        $people = new PeopleOnPaper($plan, $words);
        $chapter = static fn(string $code, Table ...$tables): Chapter => new Chapter(
            new Heading($words->say('chapter.' . $code)),
            tables: array_values(array_filter($tables, static fn(Table $table): bool => [] !== $table->rows)),
        );

        $whys = self::whys($plan, $words);

        return new Paper(
            $language,
            $plan->name,
            $words->say('' === $edition ? 'about.draft' : 'about.edition', [
                'edition' => $edition,
                'date' => $words->date($day),
            ]),
            [
                $chapter('numbers', self::numbers($plan, $words)),
                $chapter('journeys'),
                ...array_map($journeys->chapter(...), self::byName($plan->all(Journey::class))),
                $chapter('hours'),
                ...array_map($hours->chapter(...), self::byName($plan->all(Hours::class))),
                $chapter('people', $people->people(), $people->teams(), $people->queues(), $people->mailboxes()),
                $chapter('prompts', self::prompts($plan, $words)),
                ...[] === $whys->rows ? [] : [$chapter('whys', $whys)],
            ],
            $words->signing(),
        );
    }

    private static function numbers(Plan $plan, PaperWords $words): Table
    {
        $numbers = $plan->all(Number::class);
        usort($numbers, static fn(Number $a, Number $b): int => $a->range->number <=> $b->range->number);

        return new Table(
            $words->head('number', 'label', 'site', 'language', 'target'),
            array_map(
                static fn(Number $number): array => [
                    $words->number($number->range->number) .
                    (null === $number->range->block ? '' : ' – ' . $words->number($number->range->block->last)),
                    $number->name(),
                    $words->name($number->line->site),
                    LanguageName::of($number->line->language, $words->language),
                    self::target($number, $words),
                ],
                $numbers,
            ),
        );
    }

    private static function target(Number $number, PaperWords $words): string
    {
        $target = $words->target($number->target);

        return match (true) {
            null !== $number->line->keptUntil => $words->say('number.given-up', [
                'until' => $number->line->keptUntil,
                'target' => $target,
            ]),
            '' !== $number->range->extension() => $words->say('number.block', [
                'first' => $number->range->extension(),
                'last' => $number->range->block?->lastExtension() ?? '',
                'target' => $target,
            ]),
            default => $target,
        };
    }

    private static function prompts(Plan $plan, PaperWords $words): Table
    {
        $rows = [];
        foreach (self::byName($plan->all(Prompt::class)) as $prompt) {
            foreach (array_keys($prompt->scripts) as $language) {
                $script = $words->scriptIn($prompt, $language);
                $rows[] = [
                    $prompt->name(),
                    LanguageName::of($language, $words->language),
                    '' === $script ? PaperWords::NONE : $script,
                ];
            }
        }

        return new Table($words->head('prompt', 'language', 'script'), $rows);
    }

    /** What somebody said of why elements are as they are. */
    private static function whys(Plan $plan, PaperWords $words): Table
    {
        $rows = [];
        foreach (self::byName(array_values($plan->elements())) as $element) {
            $why = $element->about()->why;
            '' === $why || ($rows[] = [$element->name(), $why]);
        }

        return new Table($words->head('what', 'why'), $rows);
    }

    /**
     * @template E of Element
     *
     * @param list<E> $elements
     *
     * @return list<E>
     */
    private static function byName(array $elements): array
    {
        usort($elements, static fn(Element $a, Element $b): int => strnatcasecmp($a->name(), $b->name()));

        return $elements;
    }
}
