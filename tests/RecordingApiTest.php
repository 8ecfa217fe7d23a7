<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Server\Sound\Tools;
use PHPUnit\Framework\Attributes\DataProvider;

/** Recording sheets go out, and recordings come back by their names: one by one, or in a ZIP. */
final class RecordingApiTest extends ApiTestCase
{
    use InAFolder;

    public function testWhatIsToBeRecorded(): void
    {
        $sheet = $this->send('GET', '/api/plans/draft/recordings');
        self::assertSame([[], ['en', 'fr']], [$sheet['voices'], $sheet['languages']]);
        $this->change('prm_holiday', ['voice' => 'Odile Ferrand']);
        $mine = $this->send('GET', '/api/plans/draft/recordings?voice=Odile%20Ferrand');
        self::assertSame(['public-holiday.en', 'public-holiday.fr'], array_column($mine['rows'], 'file'));
        self::assertSame(['Odile Ferrand'], $mine['voices']);
        $behind = $this->send('GET', '/api/plans/draft/recordings?what=all&language=fr&journey=jrn_lost')['rows'];
        self::assertContains('Lost property closed', array_column($behind, 'caption'));
        self::assertNotContains('Freight at night', array_column($behind, 'caption'));
    }

    public function testTheSheetIsAPageAndAPdf(): void
    {
        $this->request('GET', '/api/plans/draft/recording-sheet.html?language=en');
        $page = (string) $this->answer()->getContent();
        self::assertStringContainsString('Recording sheet: Ternwick Ferries', $page);
        self::assertStringContainsString('public-holiday.en.wav', $page);
        self::assertStringNotContainsString('public-holiday.fr.wav', $page);
        $this->request('GET', '/api/plans/draft/recording-sheet.pdf?words=fr');
        $file = $this->folder . '/sheet.pdf';
        file_put_contents($file, $this->answer()->getContent());
        $text = Tools::run(['pdftotext', '-layout', $file, '-'])->text;
        self::assertStringContainsString('Feuille d', $text);
        self::assertStringContainsString('public-holiday.fr.wav', $text);
        $this->request('GET', '/api/plans/draft/recording-sheet.html?words=de');
        self::assertSame(422, $this->answer()->getStatusCode());
    }

    public function testFilesFindTheirPromptsAfterALook(): void
    {
        $files = [
            $this->put('Public Holiday.en.wav', $this->tone(5)),
            $this->put(
                'recordings.zip',
                $this->zip([
                    'studio/public-holiday.fr.wav' => $this->tone(5),
                    'welcome.en.wav' => $this->tone(6),
                    'notes.txt' => 'in the small room',
                    '__MACOSX/._welcome.en.wav' => 'x',
                    '../../welcome.fr.wav' => $this->tone(4),
                ]),
            ),
        ];
        $look = $this->send('POST', '/api/plans/draft/recordings/preview', ['files' => $files])['files'];
        self::assertSame(
            [
                ['Public Holiday.en.wav', 'Public holiday', 'en'],
                ['studio/public-holiday.fr.wav', 'Public holiday', 'fr'],
                ['welcome.en.wav', 'Welcome', 'en'],
                ['notes.txt', null, null],
                ['../../welcome.fr.wav', 'Welcome', 'fr'],
            ],
            array_map(static fn(array $one): array => [$one['name'], $one['caption'], $one['language']], $look),
        );
        self::assertSame([], $this->element('prm_holiday')['takes'], 'Nothing is written.');
        $job = $this->send('POST', '/api/plans/draft/recordings', ['files' => $files]);
        $this->assertStatus(202);
        self::assertSame(['done', 'Bring in 4 takes'], [$job['state'], $job['result']['label']]);
        $holiday = $this->element('prm_holiday');
        self::assertSame(['en', 'fr'], array_keys($holiday['inUse']));
        self::assertSame($holiday['scripts']['fr'], $holiday['takes'][1]['words']);
        self::assertSame('public-holiday.fr.wav', $holiday['takes'][1]['note']);
        self::assertNotContains(
            'prm_holiday',
            array_column($this->send('GET', '/api/plans/draft/recordings')['rows'], 'prompt'),
        );
        $this->undo();
        self::assertSame([], $this->element('prm_holiday')['takes'], 'It was one edit.');
    }

    public function testWhatCannotBeTakenIsSaidFileByFileOrLeftOut(): void
    {
        $zip = fn(): array => [
            $this->put('two.zip', $this->zip(['welcome.en.wav' => $this->tone(5), 'welcome.fr.wav' => 'no sound'])),
        ];
        $job = $this->send('POST', '/api/plans/draft/recordings', ['files' => $zip()]);
        self::assertSame('failed', $job['state']);
        self::assertStringContainsString('“welcome.fr.wav” cannot be read', $job['problems'][0]['detail']);
        self::assertSame([], $this->element('prm_welcome')['takes']);
        $job = $this->send('POST', '/api/plans/draft/recordings', ['files' => $zip(), 'leaveOut' => true]);
        self::assertSame(
            ['done', 'Bring in a take', ['sound-unreadable']],
            [$job['state'], $job['result']['label'], $job['result']['leftOut']],
        );
        self::assertCount(1, $this->element('prm_welcome')['takes']);
    }

    #[DataProvider('mistakes')]
    public function testArchivesThatHurtAreRefused(\Closure $make, string $code): void
    {
        $problem = $this->send('POST', '/api/plans/draft/recordings', [
            'files' => [$this->put('in.zip', $make($this))],
        ]);
        $this->assertStatus(422);
        self::assertSame(
            [['/files', $code]],
            array_map(static fn(array $one): array => [$one['pointer'], $one['code']], $problem['errors']),
        );
    }

    /** @return iterable<string, array{\Closure(self): string, string}> */
    public static function mistakes(): iterable
    {
        yield 'half of one' => [
            static fn(self $test): string => substr($test->zip(['welcome.en.wav' => 'x']), 0, 40),
            'archive-unreadable',
        ];
        yield 'too many' => [
            static fn(self $test): string => $test->zip(
                array_fill_keys(array_map(static fn(int $i): string => "$i.wav", range(0, 500)), 'x'),
            ),
            'archive-too-many',
        ];
        yield 'nothing that matches' => [
            static fn(self $test): string => $test->zip(['hello.en.wav' => 'x']),
            'no-recording-matches',
        ];
        yield 'nothing at all' => [
            static fn(self $test): string => $test->zip(['notes/' => '']),
            'no-recording-matches',
        ];
    }

    public function testABombIsCutWhileItIsUnpacked(): void
    {
        $bomb = $this->zip(['welcome.en.wav' => str_repeat("\0", 51_000_000)]);
        self::assertLessThan(100_000, \strlen($bomb));
        $job = $this->send('POST', '/api/plans/draft/recordings', ['files' => [$this->put('in.zip', $bomb)]]);
        self::assertSame(['failed', 'archive-too-large'], [$job['state'], $job['problems'][0]['code']]);
        self::assertSame([], glob(sys_get_temp_dir() . '/meandros-[0-9a-f]*/in') ?: []);
    }

    public function tone(int $seconds): string
    {
        $file = "$this->folder/$seconds.wav";
        Tools::run([
            'sox',
            '-n',
            '-r',
            '8000',
            '-b',
            '16',
            $file,
            'synth',
            (string) $seconds,
            'sine',
            '400',
            'gain',
            '-20',
        ]);

        return (string) file_get_contents($file);
    }

    /** @param array<string, string> $files */
    public function zip(array $files): string
    {
        $path = $this->folder . '/made.zip';
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        foreach ($files as $name => $bytes) {
            str_ends_with((string) $name, '/')
                ? $zip->addEmptyDir(rtrim((string) $name, '/'))
                : $zip->addFromString((string) $name, $bytes);
        }
        $zip->close();

        return (string) file_get_contents($path);
    }

    /** @return array{upload: string, name: string} */
    private function put(string $name, string $bytes): array
    {
        $id = bin2hex(random_bytes(16));
        $this->requestWith('PUT', '/api/uploads/' . $id, $bytes, ['CONTENT_TYPE' => 'application/octet-stream']);
        self::assertSame(201, $this->answer()->getStatusCode());

        return ['upload' => $id, 'name' => $name];
    }
}
