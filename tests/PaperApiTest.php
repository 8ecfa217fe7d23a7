<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Server\Patience;
use Symfony\Component\Process\Process;

/** The plan on paper, and maps: as pages, and as PDF that poppler reads. */
final class PaperApiTest extends ApiTestCase
{
    private const CALL = ['to' => '+441632960100', 'at' => '2026-11-23T10:30:00'];

    public function testTheDraftToPrintAndAsPdf(): void
    {
        $this->request('GET', '/api/plans/draft/paper.html?language=fr');
        $html = (string) $this->answer()->getContent();
        self::assertSame('text/html; charset=utf-8', $this->answer()->headers->get('Content-Type'));
        self::assertStringContainsString(
            "style-src 'unsafe-inline'",
            (string) $this->answer()->headers->get('Content-Security-Policy'),
        );
        self::assertStringContainsString('<h2>Numéros</h2>', $html);
        $document = new \DOMDocument();
        self::assertTrue($document->loadHTML($html, \LIBXML_NOERROR));

        $this->request('GET', '/api/plans/live/paper.pdf');
        $text = self::pdfText((string) $this->answer()->getContent());
        self::assertMatchesRegularExpression('/Edition 1, printed on \w{3} \d+ \w{3} \d{4}\./', $text);
        foreach (
            PlanCodec::decode((string) file_get_contents(__DIR__ . '/../demo/ternwick-ferries.json'))->all(
                Journey::class,
            )
            as $journey
        ) {
            self::assertStringContainsString(self::plain($journey->name()), $text);
        }
        self::assertStringContainsString(self::plain('For bookings and changes, press one.'), $text);
        self::assertStringContainsString('Signature', $text);
    }

    public function testWhatIsBehindOneNumber(): void
    {
        $this->request('GET', '/api/plans/draft/paper.html?number=num_lost');
        $html = (string) $this->answer()->getContent();
        self::assertStringContainsString('<h3>Lost property line</h3>', $html);
        self::assertStringNotContainsString('<h3>Bookings line</h3>', $html);
        $this->send('GET', '/api/plans/draft/paper.html?number=nobody');
        $this->assertStatus(404);
        $problem = $this->send('GET', '/api/plans/draft/paper.html?language=de');
        self::assertSame([422, '/language'], [$problem['status'], $problem['errors'][0]['pointer']]);
    }

    public function testTheBriefOfANumberAndOfAllInTheBackground(): void
    {
        $this->request('GET', '/api/plans/draft/brief.md?number=num_sailings');
        $markdown = (string) $this->answer()->getContent();
        self::assertStringContainsString("\n## Sailing information\n", $markdown);
        self::assertStringNotContainsString('Freight', $markdown, 'Nor what is promised of others.');
        $this->send('GET', '/api/plans/draft/brief.html?number=nobody');
        $this->assertStatus(404);

        $job = $this->send('POST', '/api/plans/draft/brief/in-full?language=fr&before=live');
        $this->assertStatus(202);
        $job = $this->send('GET', '/api/jobs/' . $job['id']);
        self::assertSame(['brief', 'done'], [$job['kind'], $job['state']]);
        $this->request('GET', '/api/plans/draft/brief.md?language=fr&before=live');
        self::assertSame((string) $this->answer()->getContent(), $job['result']['markdown']);
        self::assertStringStartsWith('<!doctype html><html lang="fr">', $job['result']['html']);
        foreach (
            [
                '99/brief/in-full' => 404,
                'draft/brief/in-full?before=99' => 404,
                'draft/brief/in-full?number=nobody' => 404,
                'draft/brief/in-full?language=de' => 422,
            ]
            as $path => $status
        ) {
            $this->send('POST', '/api/plans/' . $path);
            $this->assertStatus($status);
        }
    }

    public function testNobodyIsKeptWaitingForWhatCannotBeDone(): void
    {
        self::assertTrue((new Patience(1.0))->forAll(3600.0)(0, 10));
        self::assertFalse((new Patience(0.0))->forAll(3600.0)(9, 10), 'There is no time.');
    }

    public function testWhatStandsInNamesIsEscaped(): void
    {
        $this->change('jrn_lost', ['name' => '<script>alert(1)</script>']);
        $this->request('GET', '/api/plans/draft/paper.html');
        self::assertStringNotContainsString('<script', (string) $this->answer()->getContent());
        $maps = $this->send('POST', '/api/journey-maps', ['call' => self::CALL, 'of' => 'jrn_main'])['maps'];
        self::assertStringNotContainsString('<script', $maps[0]['svg']);
    }

    public function testMapsOfAJourneyAndOfEverythingBehindANumber(): void
    {
        $maps = $this->send('POST', '/api/journey-maps', ['call' => self::CALL, 'of' => 'jrn_main'])['maps'];
        self::assertSame([['jrn_main', true]], [[$maps[0]['journey'], $maps[0]['isPassed']]]);
        $maps = $this->send('POST', '/api/journey-maps', ['call' => self::CALL, 'of' => 'num_main'])['maps'];
        self::assertSame(
            [
                ['Main line', true],
                ['Reception', true],
                ['Bookings line', false],
                ['Freight account line', false],
                ['Lost property line', false],
                ['Lunchtime bookings', false],
            ],
            array_map(static fn(array $map): array => [$map['name'], $map['isPassed']], $maps),
        );
        $this->send('POST', '/api/journey-maps', ['call' => self::CALL, 'of' => 'per_dana']);
        $this->assertStatus(404);

        $this->request(
            'POST',
            '/api/journey-maps.pdf',
            json_encode(['call' => self::CALL, 'of' => 'num_main'], \JSON_THROW_ON_ERROR),
            key: 'a-picture-is-no-act',
        );
        self::assertSame(200, $this->answer()->getStatusCode(), 'Also with a key, which is not remembered.');
        $text = self::pdfText((string) $this->answer()->getContent());
        foreach ($maps as $map) {
            $svg = new \DOMDocument();
            self::assertTrue($svg->loadXML($map['svg']));
            foreach ($svg->getElementsByTagName('text') as $label) {
                self::assertStringContainsString(self::plain($label->textContent), $text, 'It is on the paper too.');
            }
        }
    }

    /** All its words, without spaces: lines are broken elsewhere on paper. */
    private static function pdfText(string $pdf): string
    {
        self::assertStringStartsWith('%PDF-', $pdf);
        $reader = new Process(['pdftotext', '-', '-']);
        $reader->setInput($pdf);
        $reader->mustRun();

        return self::plain($reader->getOutput()) . ' ' . $reader->getOutput();
    }

    private static function plain(string $text): string
    {
        return (string) preg_replace('/\s+/u', '', $text);
    }
}
