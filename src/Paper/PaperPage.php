<?php

declare(strict_types=1);

namespace Meandros\Server\Paper;

use Meandros\Core\Paper\Chapter;
use Meandros\Core\Paper\Line;
use Meandros\Core\Paper\Paper;
use Meandros\Core\Paper\Row;
use Meandros\Core\Paper\Table;
use Meandros\Core\Paper\WeekPicture;

/** A paper as a page of HTML that stands by itself: to print, and to make a PDF of. */
final class PaperPage
{
    /** Black on white: it is read on paper. */
    private const STYLE = <<<'CSS'
    @page { size: A4; margin: 18mm 16mm 20mm; }
    body { font: 10pt/1.4 'DejaVu Sans', system-ui, sans-serif; color: #111; max-width: 178mm; margin: 0 auto; }
    h1 { font-size: 20pt; margin: 0 0 2pt; }
    h2 { font-size: 14pt; margin: 22pt 0 6pt; border-bottom: 1pt solid #111; page-break-after: avoid; }
    h3 { font-size: 11pt; margin: 14pt 0 3pt; page-break-after: avoid; }
    p { margin: 2pt 0 6pt; }
    .about, .words { color: #444; }
    table { border-collapse: collapse; width: 100%; margin: 6pt 0 10pt; font-size: 9pt; }
    th, td { text-align: left; vertical-align: top; padding: 2.5pt 5pt 2.5pt 0; border-bottom: .5pt solid #999; }
    th { border-bottom: 1pt solid #111; }
    tr { page-break-inside: avoid; }
    .row { margin: 0; padding: 1.5pt 0 1.5pt 7pt; border-left: 1pt solid #111; page-break-inside: avoid; }
    .row.exit { font-weight: bold; border-left-color: #999; }
    .words { font-style: italic; }
    .line { margin: 0; padding: 1.5pt 0 1.5pt 7pt; border-left: 1pt solid #111; page-break-inside: avoid; }
    .announces { page-break-after: avoid; }
    ins { text-decoration: underline; font-weight: bold; }
    del { color: #555; }
    h2 + p, h2 + p + p { page-break-after: avoid; }
    .week { margin: 6pt 0; page-break-inside: avoid; }
    .sign { margin-top: 30pt; page-break-inside: avoid; }
    .sign td { border: 0; padding: 26pt 14pt 0 0; width: 33%; }
    .sign span { display: block; border-top: .5pt solid #111; padding-top: 2pt; }
    CSS;

    /** Points by which a line stands further in for each exit that it is within. */
    private const INDENT = 13;

    public static function html(Paper $paper): string
    {
        $signing = implode(
            '',
            array_map(static fn(string $one): string => '<td><span>' . self::e($one) . '</span></td>', $paper->signing),
        );

        return \sprintf(
            '<!doctype html><html lang="%s"><head><meta charset="utf-8"><title>%s</title><style>%s</style></head><body><main aria-label="%2$s">' .
                '<h1>%2$s</h1><p class="about">%s</p>%s<table class="sign"><tr>%s</tr></table></main></body></html>',
            self::e($paper->language),
            self::e($paper->title),
            self::STYLE,
            self::e($paper->about),
            implode(
                '',
                array_map(static fn(Chapter $one): string => self::chapter($one, $paper->language), $paper->chapters),
            ),
            $signing,
        );
    }

    private static function chapter(Chapter $chapter, string $language): string
    {
        return \sprintf('<h%d>%s</h%1$d>', $chapter->heading->level, self::e($chapter->heading->text)) .
            implode(
                '',
                array_map(static fn(string $one): string => '<p>' . self::e($one) . '</p>', $chapter->sentences),
            ) .
            (null === $chapter->picture ? '' : self::picture($chapter->picture, $language)) .
            self::lines($chapter->lines) .
            implode('', array_map(self::row(...), $chapter->outline)) .
            implode('', array_map(self::table(...), $chapter->tables));
    }

    /** @param list<Line> $lines */
    private static function lines(array $lines): string
    {
        // What lies further in begins on the page on which it is announced.
        $announces = static fn(int $i): bool => isset($lines[$i + 1]) && $lines[$i + 1]->depth > $lines[$i]->depth;

        return implode(
            '',
            array_map(
                static fn(Line $line, int $i): string => \sprintf(
                    '<p class="line%s" style="margin-left:%dpt">%s</p>',
                    $announces($i) ? ' announces' : '',
                    $line->depth * self::INDENT,
                    match ($line->mark) {
                        Line::ADDED => '<ins>' . self::e($line->text) . '</ins>',
                        Line::REMOVED => '<del>' . self::e($line->text) . '</del>',
                        null => self::e($line->text),
                    },
                ),
                $lines,
                array_keys($lines),
            ),
        );
    }

    /** Told apart by shades and by strokes: copies are black and white. */
    private static function picture(WeekPicture $week, string $language): string
    {
        $svg = WeekSvg::of($week, $language);

        return \sprintf(
            '<p class="week"><img alt="%s" width="480" src="data:image/svg+xml;base64,%s"></p>',
            self::e($svg->words),
            base64_encode($svg->source),
        );
    }

    private static function row(Row $row): string
    {
        return \sprintf(
            '<div class="row%s" style="margin-left:%dpt">%s%s</div>',
            $row->isExit ? ' exit' : '',
            $row->depth * self::INDENT,
            self::e($row->text),
            '' === $row->words ? '' : ' <span class="words">' . self::e($row->words) . '</span>',
        );
    }

    private static function table(Table $table): string
    {
        $cells = static fn(array $cells, string $tag): string => '<tr>' .
            implode('', array_map(static fn(string $cell): string => "<$tag>" . self::e($cell) . "</$tag>", $cells)) .
            '</tr>';

        return '<table><thead>' .
            $cells($table->head, 'th') .
            '</thead><tbody>' .
            implode('', array_map(static fn(array $row): string => $cells($row, 'td'), $table->rows)) .
            '</tbody></table>';
    }

    private static function e(string $text): string
    {
        return htmlspecialchars($text, \ENT_QUOTES | \ENT_SUBSTITUTE, 'UTF-8');
    }
}
