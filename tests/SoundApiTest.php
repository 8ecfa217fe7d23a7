<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Server\Sound\EspeakSpeech;
use Meandros\Server\Sound\Speech;
use Meandros\Server\Sound\Tools;
use Meandros\Server\Sound\Wav;
use PHPUnit\Framework\Attributes\DataProvider;

/**
 * Sounds, from the file that comes in to what is heard. SoX makes the files and looks at what comes out; ffmpeg's ebur128
 * filter (EBU R 128, ITU-R BS.1770) tells how loud it is.
 */
final class SoundApiTest extends ApiTestCase
{
    use InAFolder;

    private const PROMPT = 'prm_bookings_closed';
    private const LOUDNESS = -20;

    #[DataProvider('formats')]
    public function testEveryFormatBecomesWhatTelephonesCarry(string $file, string ...$coding): void
    {
        // Half a second of silence, three seconds of a tone that swells and fades, a second of silence.
        $wav = $this->sox(
            '-n',
            '-r',
            '44100',
            '-c',
            '2',
            'in.wav',
            'synth',
            '3',
            'sine',
            '440',
            'tremolo',
            '3',
            '80',
            'gain',
            '-25',
            'pad',
            '0.5',
            '1',
        );
        if ('in.wav' !== $file) {
            Tools::run(['ffmpeg', '-v', 'error', '-i', $wav, ...$coding, "$this->folder/$file"]);
        }
        $job = $this->bring((string) file_get_contents("$this->folder/$file"), ['name' => $file, 'voice' => 'Odile']);
        self::assertSame('done', $job['state'], json_encode($job['problems'], \JSON_THROW_ON_ERROR));
        $prompt = $this->element(self::PROMPT);
        [$take] = $prompt['takes'];
        self::assertSame([$take['id'], 'Odile', 'demo'], [$prompt['inUse']['en'], $take['voice'], $take['by']]);
        $heard = "$this->folder/heard.wav";
        file_put_contents($heard, $this->send('GET', "/api/sounds/{$take['sound']}.wav")['text']);
        self::assertSame(hash_file('sha256', $heard), $take['sound']);
        self::assertSame(
            ['8000', '1', '16', 'Signed Integer PCM'],
            array_map(fn(string $what): string => $this->soxi($what, $heard), ['-r', '-c', '-b', '-e']),
        );
        $seconds = (float) $this->soxi('-D', $heard);
        self::assertEqualsWithDelta($take['milliseconds'] / 1000, $seconds, 0.001);
        self::assertEqualsWithDelta(3.3, $seconds, 0.15, 'The silence is cut but for a little at both ends.');
        self::assertEqualsWithDelta(self::LOUDNESS, $this->loudness($heard), 1.0);
        // Two channels that say the same are 3 LU louder than one of them.
        self::assertEqualsWithDelta($this->loudness($wav) - 3, $take['measures']['loudness'], 1.0);
        self::assertEqualsWithDelta(33, $take['measures']['silence'], 6);
        self::assertSame(0, $take['measures']['clipped']);
    }

    public function testTheLoudnessIsASettingOfThePlan(): void
    {
        $this->change('set_ternwick', ['loudness' => -26]);
        $this->assertStatus(200);
        $wav = $this->sox('-n', '-r', '16000', 'in.wav', 'synth', '3', 'sine', '440', 'gain', '-20');
        self::assertSame('done', $this->bring((string) file_get_contents($wav), ['name' => 'in.wav'])['state']);
        $take = $this->element(self::PROMPT)['takes'][0];
        file_put_contents("$this->folder/heard.wav", $this->send('GET', "/api/sounds/{$take['sound']}.wav")['text']);
        self::assertEqualsWithDelta(-26, $this->loudness("$this->folder/heard.wav"), 1.0);
        foreach (['loudness' => -40, 'longestWait' => 1] as $field => $value) {
            $this->change('set_ternwick', [$field => $value]);
            $this->assertStatus(422);
        }
        $this->send('POST', '/api/plans/draft/elements', ['kind' => 'settings', 'name' => 'Others']);
        $this->assertStatus(422, 'A plan has one set of them.');
    }

    /** @return iterable<string, array<string>> */
    public static function formats(): iterable
    {
        yield 'WAV' => ['in.wav'];
        yield 'WAV of 24 bits and 96 kHz' => ['deep.wav', '-c:a', 'pcm_s24le', '-ar', '96000'];
        yield 'MP3' => ['in.mp3', '-c:a', 'libmp3lame'];
        yield 'FLAC' => ['in.flac', '-c:a', 'flac'];
        yield 'Opus in OGG' => ['in.ogg', '-c:a', 'libopus'];
        yield 'Vorbis in OGG' => ['vorbis.ogg', '-c:a', 'libvorbis'];
        yield 'AAC in M4A' => ['in.m4a', '-c:a', 'aac'];
        yield 'AAC alone' => ['in.aac', '-c:a', 'aac', '-f', 'adts'];
        yield 'as browsers record' => ['in.webm', '-c:a', 'libopus'];
    }

    public function testWhatIsLoudOrNearlySilentIsMeasuredAndFound(): void
    {
        $loud = $this->sox('-n', '-r', '16000', 'loud.wav', 'synth', '12', 'sine', '300', 'gain', '12');
        $job = $this->bring((string) file_get_contents($loud));
        self::assertSame('done', $job['state'], json_encode($job['problems'], \JSON_THROW_ON_ERROR));
        self::assertGreaterThan(20, $this->element(self::PROMPT)['takes'][0]['measures']['clipped']);
        $quiet = $this->sox(
            '-n',
            '-r',
            '16000',
            'quiet.wav',
            'synth',
            '2',
            'sine',
            '300',
            'gain',
            '-44',
            'pad',
            '0',
            '10',
        );
        self::assertSame('done', $this->bring((string) file_get_contents($quiet), ['trim' => false])['state']);
        $found = array_column(
            array_filter(
                $this->send('GET', '/api/plans/draft/findings')['findings'],
                static fn(array $one): bool => self::PROMPT === $one['id'],
            ),
            'code',
        );
        self::assertEqualsCanonicalizing(
            ['take-too-quiet', 'take-mostly-silence'],
            $found,
            'The second one is in use.',
        );
    }

    /** @param array<string> $words of the problem */
    #[DataProvider('mistakes')]
    public function testWhatCannotBeTakenIsRefusedInWords(string $bytes, array $words): void
    {
        $before = $this->element(self::PROMPT);
        $job = $this->bring($bytes, ['name' => 'welcome.wav']);
        self::assertSame('failed', $job['state']);
        self::assertSame('/upload', $job['problems'][0]['pointer']);
        foreach ($words as $part) {
            self::assertStringContainsString(
                $part,
                $job['problems'][0]['detail'] . ' ' . $job['problems'][0]['remedy'],
            );
        }
        self::assertSame($before, $this->element(self::PROMPT));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function mistakes(): iterable
    {
        $header = static fn(int $data): string => 'RIFF' .
            pack('V', 36 + $data) .
            'WAVEfmt ' .
            pack('VvvVVvv', 16, 1, 1, 8000, 16000, 2, 16) .
            'data' .
            pack('V', $data);
        yield 'nothing' => ['', ['“welcome.wav” is empty']];
        yield 'a program' => [
            "MZ\x90\x00\x03\x00\x00\x00\x04\x00" . str_repeat("\x00", 50) . "PE\x00\x00" . random_bytes(2000),
            ['cannot be read as a recording', 'WAV, MP3, FLAC'],
        ];
        yield 'a text' => ['Hello, this is a script.', ['it is text/plain', 'save as WAV']];
        yield 'a list of addresses' => [
            "#EXTM3U\n#EXT-X-TARGETDURATION:10\n#EXTINF:10,\nhttp://127.0.0.1:8080/api/plans/live\n",
            ['cannot be read'],
        ];
        yield 'a list of files' => ["ffconcat version 1.0\nfile /etc/passwd\n", ['cannot be read']];
        yield 'a header and no sound' => [$header(0), ['Nothing is heard in “welcome.wav”']];
        yield 'silence' => [$header(32000) . str_repeat("\x00\x00", 16000), ['Nothing is heard']];
        yield 'a quarter of an hour and a second' => [
            $header(901 * 16000) . str_repeat("\x10\x00", 901 * 8000),
            ['lasts 16 minutes; a prompt may last 15'],
        ];
    }

    public function testAHeaderThatLiesIsNotBelieved(): void
    {
        $tone = (string) file_get_contents(
            $this->sox('-n', '-r', '8000', '-b', '16', 'a.wav', 'synth', '2', 'sine', '400', 'gain', '-10'),
        );
        $job = $this->bring(substr_replace($tone, pack('V', 2_147_000_000), 40, 4), ['trim' => false]);
        self::assertSame('done', $job['state'], json_encode($job['problems'], \JSON_THROW_ON_ERROR));
        self::assertEqualsWithDelta(2000, $this->element(self::PROMPT)['takes'][0]['milliseconds'], 5);
    }

    public function testAFileMayBeSentAgainAndIsGoneWhenItsWorkIsDone(): void
    {
        $id = bin2hex(random_bytes(16));
        $this->put($id, 'half of');
        self::assertSame(['id' => $id, 'bytes' => 12], $this->put($id, 'all of it, 2'));
        $take = ['upload' => $id, 'language' => 'en'];
        self::assertSame('failed', $this->send('POST', $this->takes(), $take)['state']);
        $wav = (string) file_get_contents(
            $this->sox('-n', '-r', '8000', 'a.wav', 'synth', '2', 'sine', '400', 'gain', '-10'),
        );
        $this->put($id, $wav);
        self::assertSame('done', $this->send('POST', $this->takes(), $take)['state']);
        $this->send('POST', $this->takes(), $take);
        $this->assertStatus(422, 'It is gone.');
        $this->send('POST', '/api/plans/draft/prompts/prm_none/takes', $take);
        $this->assertStatus(404);
    }

    public function testPartsOfASoundAreReadAndItIsKeptForEver(): void
    {
        $sound = $this->send('GET', '/api/plans/draft/prompts/' . self::PROMPT . '/sound?language=en')['pieces'][0];
        $path = "/api/sounds/{$sound['sound']}.wav";
        $all = $this->send('GET', $path)['text'];
        self::assertSame('immutable, max-age=31536000, private', $this->answer()->headers->get('Cache-Control'));
        $size = \strlen($all);
        $parts = [
            'bytes=0-43' => [0, 44],
            'bytes=100-' => [100, $size - 100],
            'bytes=-10' => [$size - 10, 10],
            'bytes=10-99999999' => [10, $size - 10],
        ];
        foreach ($parts as $range => [$from, $count]) {
            $this->requestWith('GET', $path, null, ['HTTP_RANGE' => $range]);
            self::assertSame(
                [206, substr($all, $from, $count)],
                [$this->answer()->getStatusCode(), $this->answer()->getContent()],
            );
            self::assertSame(
                \sprintf('bytes %d-%d/%d', $from, $from + $count - 1, $size),
                $this->answer()->headers->get('Content-Range'),
            );
        }
        foreach (
            ["bytes=$size-" => 416, 'bytes=5-2' => 200, 'bytes=0-1,4-5' => 200, 'words=1-2' => 200, 'bytes=-' => 200]
            as $range => $status
        ) {
            $this->requestWith('GET', $path, null, ['HTTP_RANGE' => $range]);
            self::assertSame($status, $this->answer()->getStatusCode(), $range);
        }
        $this->requestWith('GET', $path, null, ['HTTP_IF_NONE_MATCH' => '"' . $sound['sound'] . '"']);
        self::assertSame(304, $this->answer()->getStatusCode());
        $this->send('GET', '/api/sounds/' . str_repeat('0', 64) . '.wav');
        $this->assertStatus(404);
    }

    public function testTheMachineReadsWhatHasNoTake(): void
    {
        $script = 'We are closed today. Please call again tomorrow from eight.';
        $this->change(self::PROMPT, ['scripts' => ['en' => $script, 'fr' => 'Nous sommes fermés.', 'xx' => 'Blah']]);
        $prompt = $this->element(self::PROMPT);
        self::assertSame(['en', 'fr'], array_keys($prompt['machine']), 'Nobody speaks xx.');
        self::assertSame($script, $prompt['machine']['en']['words']);
        $wav = Wav::of($this->send('GET', "/api/sounds/{$prompt['machine']['en']['sound']}.wav")['text']);
        self::assertSame($prompt['machine']['en']['milliseconds'], $wav->milliseconds);
        self::assertEqualsWithDelta(4.0, $wav->milliseconds / 1000, 1.5, 'Ten words at 150 words a minute.');
        $seconds = $this->send('GET', '/api/plans/draft/prompt-seconds')['seconds'][self::PROMPT];
        self::assertSame((int) ceil($wav->milliseconds / 1000), $seconds['en']);
        $call = $this->send('POST', '/api/trial-calls', ['to' => self::BOOKINGS, 'at' => '2026-11-23T21:00']);
        $said = array_values(
            array_filter(
                $call['events'],
                static fn(array $event): bool => self::PROMPT === ($event['what']['prompt'] ?? null),
            ),
        );
        self::assertSame([$seconds['en'], 'machine'], [$said[0]['what']['seconds'], $said[0]['because']['lengthFrom']]);
        self::assertStringContainsString('as long as the machine voice takes', $said[0]['reason']);
        $heard = $this->send('GET', '/api/plans/draft/prompts/' . self::PROMPT . '/sound?language=de');
        self::assertSame('en', $heard['language']);
        self::assertSame([['machine', $script]], self::pieces($heard));
    }

    /**
     * @param array<string, mixed> $heard
     *
     * @return list<array{string, string}>
     */
    private static function pieces(array $heard): array
    {
        return array_map(static fn(array $one): array => [$one['from'], $one['words']], $heard['pieces']);
    }

    public function testBlanksAreFilledAndPartsAroundThemRecordedOneByOne(): void
    {
        $this->change(self::PROMPT, ['scripts' => ['en' => 'We open {opening}, or call {name} instead.']]);
        $address = '/api/plans/draft/prompts/' . self::PROMPT . '/sound?language=en';
        $samples = [['machine', 'We open'], ['machine', 'tomorrow at eight'], ['machine', ', or call']];
        self::assertSame($samples, \array_slice(self::pieces($this->send('GET', $address)), 0, 3));
        $lengths = $this->send('GET', '/api/plans/draft/prompt-seconds');
        self::assertSame(['en' => ['We open', ', or call', 'instead.']], $lengths['parts'][self::PROMPT]);
        self::assertSame(['en', 'en/2', 'en/3'], array_keys($this->element(self::PROMPT)['machine']));

        $id = bin2hex(random_bytes(16));
        $this->put(
            $id,
            (string) file_get_contents(
                $this->sox('-n', '-r', '8000', 'a.wav', 'synth', '2', 'sine', '400', 'gain', '-10'),
            ),
        );
        $job = $this->send('POST', $this->takes(), [
            'upload' => $id,
            'language' => 'en',
            'part' => 2,
            'words' => ', or call',
        ]);
        self::assertSame('done', $job['state']);
        $prompt = $this->element(self::PROMPT);
        self::assertSame(['en/2' => $prompt['takes'][0]['id']], $prompt['inUse']);
        $heard = $this->send('GET', $address . '&opening=on+Monday&name=Ann');
        self::assertSame(
            [
                ['machine', 'We open'],
                ['machine', 'on Monday'],
                ['take', ', or call'],
                ['machine', 'Ann'],
                ['machine', 'instead.'],
            ],
            self::pieces($heard),
        );
        self::assertSame($heard['milliseconds'], array_sum(array_column($heard['pieces'], 'milliseconds')));

        $this->change(self::PROMPT, ['scripts' => ['en' => 'We open {openning}.']]);
        $this->assertStatus(422);
        self::assertStringContainsString('{opening}', (string) $this->answer()->getContent());
    }

    public function testWordsWithoutAPromptAreSpoken(): void
    {
        $spoken = $this->send('GET', '/api/spoken?language=en&words=You+are+number+two.');
        self::assertSame([['machine', 'You are number two.']], self::pieces($spoken));
        $this->send('GET', '/api/spoken?language=xx&words=Blah');
        $this->assertStatus(404);
        $this->send('GET', '/api/spoken?language=en&words=' . str_repeat('a', 301));
        $this->assertStatus(422);
    }

    public function testTheSameWordsAreReadOnceAndAsLoudAsATake(): void
    {
        $speech = new EspeakSpeech();
        foreach (
            [
                'en' => 'Welcome to Ternwick Ferries, how can we help you today?',
                'fr' => 'Bonjour et bienvenue chez Ternwick Ferries.',
            ]
            as $language => $words
        ) {
            $first = $speech->speak($words, $language);
            self::assertNotNull($first);
            self::assertSame($first->sha256(), $speech->speak($words, $language)?->sha256());
            file_put_contents("$this->folder/$language.wav", $first->bytes);
            self::assertEqualsWithDelta(self::LOUDNESS, $this->loudness("$this->folder/$language.wav"), 2.5);
        }
        self::assertNull($speech->speak('…!', 'en'));
        self::assertNull($speech->speak('Hello', '../x'));
        self::assertInstanceOf(Speech::class, self::getContainer()->get(Speech::class));
    }

    #[DataProvider('laws')]
    public function testTelephonesGetTheirOwnCoding(string $law, string $sox): void
    {
        $heard = $this->send('GET', '/api/plans/draft/prompts/' . self::PROMPT . '/sound?language=en');
        $sound = $heard['pieces'][0]['sound'];
        file_put_contents("$this->folder/a.wav", $this->send('GET', "/api/sounds/$sound.wav")['text']);
        $this->requestWith('GET', "/api/sounds/$sound.wav?as=$law", null, []);
        file_put_contents("$this->folder/b.wav", $this->answer()->getContent());
        self::assertSame($sox, $this->soxi('-e', "$this->folder/b.wav"));
        $raw = ['-t', 'raw', '-e', 'signed', '-b', '16'];
        Tools::run(['sox', '-D', "$this->folder/a.wav", '-e', strtolower($sox), "$this->folder/c.wav"]);
        $samples = [];
        foreach (['a', 'b', 'c'] as $file) {
            Tools::run(['sox', '-D', "$this->folder/$file.wav", ...$raw, "$this->folder/$file.raw"]);
            $samples[$file] = array_values(unpack('v*', (string) file_get_contents("$this->folder/$file.raw")) ?: []);
        }
        $signed = static fn(int $sample): int => $sample > 32767 ? $sample - 65536 : $sample;
        self::assertSame(\count($samples['a']), \count($samples['b']));
        $far = 0;
        foreach ($samples['a'] as $i => $sample) {
            $step = max(16, intdiv(abs($signed($sample)) + 132, 14));
            $far += abs($signed($samples['b'][$i]) - $signed($samples['c'][$i])) > $step ? 1 : 0;
        }
        self::assertSame(
            0,
            $far,
            'SoX codes the same, or the next value on the scale: the two round their halves apart.',
        );
        self::assertGreaterThan(8000, \count($samples['a']));
        $this->send('GET', "/api/sounds/$sound.wav?as=gsm");
        $this->assertStatus(422);
    }

    /** @return iterable<array{string, string}> ITU-T G.711; PCMA and PCMU in RFC 3551 */
    public static function laws(): iterable
    {
        yield ['alaw', 'A-law'];
        yield ['ulaw', 'u-law'];
    }

    /** @param array<string, mixed> $more */
    private function bring(string $bytes, array $more = []): array
    {
        $id = bin2hex(random_bytes(16));
        $this->put($id, $bytes);

        return $this->send('POST', $this->takes(), $more + ['upload' => $id, 'name' => 'a file', 'language' => 'en']);
    }

    private function takes(): string
    {
        return '/api/plans/draft/prompts/' . self::PROMPT . '/takes';
    }

    private function put(string $id, string $bytes): array
    {
        $this->requestWith('PUT', '/api/uploads/' . $id, $bytes, ['CONTENT_TYPE' => 'application/octet-stream']);
        self::assertSame(201, $this->answer()->getStatusCode(), (string) $this->answer()->getContent());

        return json_decode((string) $this->answer()->getContent(), true, 8, \JSON_THROW_ON_ERROR);
    }

    private function sox(string ...$arguments): string
    {
        $file = (string) current(array_filter($arguments, static fn(string $one): bool => str_ends_with($one, '.wav')));
        $path = $this->folder . '/' . $file;
        Tools::run([
            'sox',
            ...array_map(static fn(string $one): string => $one === $file ? $path : $one, array_values($arguments)),
        ]);

        return $path;
    }

    private function soxi(string $what, string $file): string
    {
        return trim(Tools::run(['soxi', $what, $file])->text);
    }

    private function loudness(string $file): float
    {
        $said = Tools::run(['ffmpeg', '-nostdin', '-hide_banner', '-i', $file, '-af', 'ebur128', '-f', 'null', '-'])
            ->said;
        preg_match_all('/I:\s+(-?[0-9.]+) LUFS/', $said, $found);

        return (float) end($found[1]);
    }
}
