<?php

declare(strict_types=1);

namespace Meandros\Core\Map;

/** A map as a picture in SVG: boxes for steps, lines with labels for exits, and the way of a call as one thick line. */
final class MapSvg
{
    /** Colours of the screen's theme, and what stands for them where there is none. */
    private const INK = 'var(--ink, #16323a)';
    private const QUIET = 'var(--quiet, #55686d)';
    private const LINE = 'var(--line, #b9b6a8)';
    private const SHEET = 'var(--sheet, #ffffff)';
    private const COURSE = 'var(--course, #c06a00)';
    private const FONT = "'Commissioner Variable', 'DejaVu Sans', sans-serif";
    /** Characters of a line in a box, and of a label. */
    private const OF_A_BOX = 29;
    private const OF_A_LABEL = 20;
    private const LINES_OF_A_BOX = 2;

    /**
     * @param list<array{int, int}> $course as JourneyMap has it; empty where the call does not come here
     *
     * @return string an SVG element
     */
    public static function draw(JourneyMap $map, array $course, string $name): string
    {
        $boxes = array_values($map->boxes());
        $said = \sprintf(
            'Map of %s: %s',
            $name,
            implode('; ', array_map(static fn(Box $box): string => $box->text, $boxes)),
        );

        return \sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" role="img" aria-label="%s" viewBox="0 0 %d %d" width="%2$d" height="%3$d" font-family="%s" font-weight="normal">',
            self::e($said),
            $map->width(),
            $map->height(),
            self::e(self::FONT),
        ) .
            implode(
                '',
                array_map(static fn(array $line): string => self::line($line, self::LINE, 1.5), $map->lines()),
            ) .
            ([] === $course ? '' : self::line($course, self::COURSE, 4)) .
            implode('', array_map(static fn(Box $box): string => self::box($box, $course), $boxes)) .
            implode('', array_map(self::label(...), array_values($map->labels()))) .
            self::end($course) .
            '</svg>';
    }

    /** The same as a file of its own: colours are those on paper. */
    public static function file(string $svg): string
    {
        return '<?xml version="1.0" encoding="UTF-8"?>' .
            "\n" .
            preg_replace('/var\(--[a-z]+, (#[0-9a-f]{6})\)/', '$1', $svg);
    }

    /**
     * Words in at most so many lines of so many characters; what does not fit ends in dots.
     *
     * @return list<string>
     */
    public static function wrapped(string $text, int $width, int $most): array
    {
        $lines = [];
        foreach (explode(' ', $text) as $word) {
            $last = \count($lines) - 1;
            if ($last >= 0 && mb_strlen($lines[$last] . ' ' . $word) <= $width) {
                $lines[$last] .= ' ' . $word;
            } else {
                $lines[] = $word;
            }
        }
        $kept = [];
        foreach (\array_slice($lines, 0, $most) as $i => $line) {
            $isCut = mb_strlen($line) > $width || ($i === $most - 1 && \count($lines) > $most);
            $kept[] = $isCut ? mb_substr($line, 0, $width - 1) . '…' : $line;
        }

        return $kept;
    }

    /** @param list<array{int, int}> $points */
    private static function line(array $points, string $colour, float $width): string
    {
        return \sprintf(
            '<polyline points="%s" fill="none" stroke="%s" stroke-width="%s" stroke-linejoin="round" stroke-linecap="round"/>',
            implode(' ', array_map(static fn(array $point): string => implode(',', $point), $points)),
            $colour,
            $width,
        );
    }

    /** @param list<array{int, int}> $course */
    private static function box(Box $box, array $course): string
    {
        $isOn = self::isOn($box, $course);
        $lines = self::wrapped($box->text, self::OF_A_BOX, self::LINES_OF_A_BOX);
        $first = $box->middle() + 4 - (\count($lines) - 1) * 7;
        $words = '';
        foreach ($lines as $i => $line) {
            $words .= \sprintf(
                '<text x="%d" y="%d" font-size="12" fill="%s">%s</text>',
                $box->x + 10,
                $first + $i * 14,
                self::INK,
                self::e($line),
            );
        }

        return \sprintf(
            '<g><title>%s</title><rect x="%d" y="%d" width="%d" height="%d" rx="6" fill="%s" stroke="%s" stroke-width="%s"/>%s</g>',
            self::e($box->text),
            $box->x,
            $box->y,
            $box->width,
            $box->height,
            self::SHEET,
            $isOn ? self::COURSE : self::QUIET,
            $isOn ? '2.5' : '1',
            $words,
        );
    }

    private static function label(Box $label): string
    {
        return \sprintf(
            '<g><title>%s</title><text x="%d" y="%d" font-size="11" fill="%s">%s</text></g>',
            self::e($label->text),
            $label->x,
            $label->bottom() - 3,
            self::QUIET,
            self::e(self::wrapped($label->text, self::OF_A_LABEL, 1)[0] ?? ''),
        );
    }

    /**
     * Where the way ends in this journey.
     *
     * @param list<array{int, int}> $course
     */
    private static function end(array $course): string
    {
        $last = $course[\count($course) - 1] ?? null;

        return null === $last
            ? ''
            : \sprintf(
                '<circle cx="%d" cy="%d" r="5" fill="%s" stroke="%s" stroke-width="2.5"/>',
                $last[0] - 16,
                $last[1],
                self::SHEET,
                self::COURSE,
            );
    }

    /**
     * Whether the way comes to a box: it has a corner in it.
     *
     * @param list<array{int, int}> $course
     */
    private static function isOn(Box $box, array $course): bool
    {
        foreach ($course as [$x, $y]) {
            if ($x > $box->x && $x < $box->right() && $y > $box->y && $y < $box->bottom()) {
                return true;
            }
        }

        return false;
    }

    private static function e(string $text): string
    {
        return htmlspecialchars($text, \ENT_QUOTES | \ENT_SUBSTITUTE | \ENT_XML1, 'UTF-8');
    }
}
