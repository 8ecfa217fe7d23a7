<?php

declare(strict_types=1);

namespace Meandros\Server\Paper;

use Meandros\Core\Map\MapSvg;

/** Maps as a page of HTML, one journey on each sheet. */
final class MapPage
{
    private const STYLE = <<<'CSS'
    @page { size: A4 landscape; margin: 12mm; }
    body { font: 10pt/1.4 'DejaVu Sans', sans-serif; color: #111; }
    h1 { font-size: 14pt; margin: 0 0 6pt; }
    div { page-break-after: always; }
    div:last-child { page-break-after: auto; }
    img { max-width: 265mm; max-height: 165mm; }
    CSS;

    /** The font of the PDF is wider than that of the screen. */
    private static function narrower(string $svg): string
    {
        return strtr($svg, [
            'font-size="12"' => 'font-size="9.5"',
            'font-size="11"' => 'font-size="8.5"',
            '&apos;Commissioner Variable&apos;, &apos;DejaVu Sans&apos;, sans-serif' => 'DejaVu Sans',
        ]);
    }

    /** @param list<array{name: string, svg: string}> $maps */
    public static function html(array $maps): string
    {
        $sheets = array_map(
            static fn(array $map): string => \sprintf(
                '<div><h1>%s</h1><img src="data:image/svg+xml;base64,%s"></div>',
                htmlspecialchars($map['name'], \ENT_QUOTES | \ENT_SUBSTITUTE, 'UTF-8'),
                base64_encode(self::narrower(MapSvg::file($map['svg']))),
            ),
            $maps,
        );

        return \sprintf(
            '<!doctype html><html><head><meta charset="utf-8"><style>%s</style></head><body>%s</body></html>',
            self::STYLE,
            implode('', $sheets),
        );
    }
}
