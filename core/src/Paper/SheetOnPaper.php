<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Recording\Wanted;

/** A recording sheet to print: a part for each voice and language, a line for each script. */
final class SheetOnPaper
{
    /**
     * @param list<Wanted> $rows     in order
     * @param string       $language of the sheet's own words, one of PaperWords::LANGUAGES
     * @param int          $day      on which it is made, days since 1970
     */
    public static function of(Plan $plan, array $rows, string $language, int $day): Paper
    {
        $words = new PaperWords($plan, $language);
        $parts = [];
        foreach ($rows as $i => $row) {
            $heading = $words->say('sheet.part', [
                'voice' => '' === $row->prompt->voice ? $words->say('sheet.nobody') : $row->prompt->voice,
                'language' => $row->part->language,
            ]);
            $parts[$heading][] = [
                (string) ($i + 1),
                $row->prompt->name() . (1 === $row->part->number ? '' : \sprintf(' (%d)', $row->part->number)),
                $row->part->words,
                $words->say('seconds', ['seconds' => $row->seconds]),
                $row->file . '.wav',
            ];
        }
        $seconds = array_sum(array_map(static fn(Wanted $row): int => $row->seconds, $rows));

        return new Paper(
            $language,
            $words->say('sheet.title', ['plan' => $plan->name]),
            $words->say('sheet.about', [
                'date' => $words->date($day),
                'count' => \count($rows),
                'minutes' => (int) ceil($seconds / 60),
            ]),
            array_map(
                static fn(string $heading, array $lines): Chapter => new Chapter(
                    new Heading($heading),
                    tables: [new Table($words->head('place', 'caption', 'script', 'length', 'file'), $lines)],
                ),
                array_keys($parts),
                array_values($parts),
            ),
            [],
        );
    }
}
