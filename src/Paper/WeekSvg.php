<?php

declare(strict_types=1);

namespace Meandros\Server\Paper;

use Meandros\Core\Paper\WeekPicture;
use Meandros\Core\Proof\Reach;
use Meandros\Core\Time\Weekday;
use Meandros\Core\Wording\Catalog;
use Meandros\Core\Wording\When;

/** A week as SVG, for paper: the nearer to a person, the darker. */
final readonly class WeekSvg
{
    private const LEFT = 34;
    private const WIDTH = 432;
    private const ROW = 13;
    private const DAY = 86400;
    private const SHADES = [
        'queue' => '#000',
        'person' => '#333',
        'outside' => '#777',
        'message' => '#bbb',
        'announcement' => '#ddd',
        'nobody' => '#fff',
    ];

    private function __construct(public string $source, public string $words) {}

    public static function of(WeekPicture $week, string $language): self
    {
        $words = Catalog::of('courses', $language);
        $shapes = '';
        foreach ($week->days as $i => $stretches) {
            $y = 14 + $i * self::ROW;
            $shapes .= \sprintf(
                '<text x="0" y="%d" font-size="9">%s</text>',
                $y + 9,
                When::weekday(Weekday::cases()[$i], $language),
            );
            foreach ($stretches as [$from, $to, $reach]) {
                $shapes .= \sprintf(
                    '<rect x="%.1F" y="%d" width="%.1F" height="%d" fill="%s" stroke="#000" stroke-width="0.4"/>',
                    self::LEFT + ($from * self::WIDTH) / self::DAY,
                    $y,
                    (($to - $from) * self::WIDTH) / self::DAY,
                    self::ROW - 2,
                    self::SHADES[$reach->value],
                );
            }
        }
        for ($hour = 0; $hour <= 24; $hour += 6) {
            $shapes .= \sprintf(
                '<text x="%d" y="9" font-size="8" text-anchor="%s">%02d:00</text>',
                self::LEFT + ($hour * self::WIDTH) / 24,
                0 === $hour ? 'start' : (24 === $hour ? 'end' : 'middle'),
                $hour,
            );
        }
        $reaches = $week->reaches();
        foreach ($reaches as $i => $reach) {
            $shade = self::SHADES[$reach->value];
            $name = $words->say('reach.' . $reach->value);
            $x = self::LEFT + $i * 86;
            $shapes .= \sprintf(
                '<rect x="%d" y="110" width="10" height="8" fill="%s" stroke="#000" stroke-width="0.4"/><text x="%d" y="117" font-size="8">%s</text>',
                $x,
                $shade,
                $x + 13,
                $name,
            );
        }

        return new self(
            '<svg xmlns="http://www.w3.org/2000/svg" width="480" height="122" viewBox="0 0 480 122" font-family="DejaVu Sans, sans-serif">' .
                $shapes .
                '</svg>',
            $words->say('week', [
                'reaches' => implode(
                    ', ',
                    array_map(static fn(Reach $one): string => $words->say('reach.' . $one->value), $reaches),
                ),
            ]),
        );
    }
}
