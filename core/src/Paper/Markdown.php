<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

use Meandros\Core\Wording\Listed;

/** A paper as Markdown (CommonMark, with the tables of GitHub's): for wikis and for plans under version control. */
final class Markdown
{
    public static function of(Paper $paper): string
    {
        $blocks = ['# ' . self::escape($paper->title), self::escape($paper->about)];
        foreach ($paper->chapters as $chapter) {
            array_push($blocks, ...self::chapter($chapter));
        }
        foreach ($paper->signing as $one) {
            $blocks[] = Listed::labelled(self::escape($one), '______________________', $paper->language);
        }

        return implode("\n\n", $blocks) . "\n";
    }

    /** @return list<string> */
    private static function chapter(Chapter $chapter): array
    {
        $blocks = [str_repeat('#', $chapter->heading->level) . ' ' . self::escape($chapter->heading->text)];
        array_push($blocks, ...array_map(self::escape(...), $chapter->sentences));
        $lines = array_map(self::line(...), $chapter->lines);
        foreach ($chapter->outline as $row) {
            $lines[] =
                str_repeat('  ', $row->depth) .
                '- ' .
                self::escape($row->text) .
                ('' === $row->words ? '' : ' *' . self::escape($row->words) . '*');
        }
        [] === $lines || ($blocks[] = implode("\n", $lines));
        foreach ($chapter->tables as $table) {
            $blocks[] = self::table($table);
        }

        return $blocks;
    }

    private static function line(Line $line): string
    {
        $text = self::escape($line->text);

        return str_repeat('  ', $line->depth) .
            '- ' .
            match ($line->mark) {
                Line::ADDED => "**$text**",
                Line::REMOVED => "~~$text~~",
                null => $text,
            };
    }

    private static function table(Table $table): string
    {
        return implode("\n", [
            self::row($table->head),
            '|' . str_repeat(' --- |', \count($table->head)),
            ...array_map(self::row(...), $table->rows),
        ]);
    }

    /** @param list<string> $cells */
    private static function row(array $cells): string
    {
        return '| ' . implode(' | ', array_map(self::escape(...), $cells)) . ' |';
    }

    private static function escape(string $text): string
    {
        return str_replace("\n", ' ', (string) preg_replace('/([\\\\`*_{}\[\]<>#|~])/', '\\\\$1', $text));
    }
}
