<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Map;

use Meandros\Core\Map\Box;
use Meandros\Core\Map\JourneyMap;
use Meandros\Core\Map\MapSvg;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MapSvgTest extends TestCase
{
    /** @param list<string> $lines */
    #[DataProvider('texts')]
    public function testWordsAreBrokenBetweenThem(string $text, int $width, int $most, array $lines): void
    {
        self::assertSame($lines, MapSvg::wrapped($text, $width, $most));
    }

    /** @return iterable<array{string, int, int, list<string>}> */
    public static function texts(): iterable
    {
        yield ['ring Bookings desk 25s', 29, 2, ['ring Bookings desk 25s']];
        yield ['menu Head office menu, wait 5 s, 2 tries', 29, 2, ['menu Head office menu, wait 5', 's, 2 tries']];
        yield ['one two three four', 8, 2, ['one two', 'three…']];
        yield ['Llanfairpwllgwyngyll', 8, 2, ['Llanfai…']];
        yield ['Réservations à quai', 12, 2, ['Réservations', 'à quai']];
        yield ['', 8, 1, ['']];
    }

    /** libxml reads every picture of the demo; each step and each exit stands in it with its whole text. */
    public function testEveryPictureIsXmlThatHasEveryLabel(): void
    {
        $plan = PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'));
        self::assertInstanceOf(Plan::class, $plan);
        $seen = 0;
        foreach ($plan->all(Journey::class) as $journey) {
            $map = JourneyMap::of($journey, $plan);
            $document = new \DOMDocument();
            self::assertTrue($document->loadXML(MapSvg::file(MapSvg::draw($map, [], $journey->name()))));
            self::assertSame('http://www.w3.org/2000/svg', $document->documentElement?->namespaceURI);
            $titles = [];
            foreach ($document->getElementsByTagName('title') as $title) {
                $titles[] = $title->textContent;
            }
            $texts = array_map(static fn(Box $box): string => $box->text, [
                ...array_values($map->boxes()),
                ...array_values($map->labels()),
            ]);
            self::assertSame($texts, $titles);
            $seen += \count($texts);
        }
        self::assertGreaterThan(100, $seen);
    }

    public function testTheWayOfACallAndWhatStandsInNames(): void
    {
        $plan = (new PlanBuilder())
            ->with([
                'id' => 'prm',
                'kind' => 'prompt',
                'name' => 'Fish & "chips" <now>',
                'scripts' => ['en' => 'Hello'],
            ])
            ->journey('jrn_main', [['id' => 'say', 'do' => 'say', 'prompt' => 'prm']])
            ->plan();
        $journey = $plan->get(Journey::class, 'jrn_main');
        self::assertInstanceOf(Journey::class, $journey);
        $map = JourneyMap::of($journey, $plan);
        $svg = MapSvg::draw($map, [[32, 16], [32, 54]], 'Main & more');
        self::assertStringContainsString('Fish &amp; &quot;chips&quot; &lt;now&gt;', $svg);
        self::assertStringContainsString('points="32,16 32,54" fill="none" stroke="var(--course, #c06a00)"', $svg);
        self::assertStringContainsString('<circle cx="16" cy="54"', $svg, 'Where the way ends.');
        self::assertStringContainsString('stroke="var(--course, #c06a00)" stroke-width="2.5"/><text', $svg);
        self::assertStringNotContainsString('var(', MapSvg::file($svg));
        self::assertStringNotContainsString('<circle', MapSvg::draw($map, [], 'Main'));
        $beside = MapSvg::draw($map, [[16, 54]], 'Main');
        self::assertStringNotContainsString(
            'stroke="var(--course, #c06a00)" stroke-width="2.5"/><text',
            $beside,
            'A way along its edge is not in a box.',
        );
    }
}
