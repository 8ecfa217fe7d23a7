<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

/** eSpeak NG, a small stand-in for a speech service. */
final readonly class EspeakSpeech implements Speech
{
    /** At which announcements are read (common practice), and lengths are counted. */
    private const WORDS_PER_MINUTE = 150;
    /** The highest sample in dBFS: with it the voice is about as loud as a take (`SoundApiTest` measures it). */
    private const PEAK = -2.5;

    /** @param string $variant another speaker, such as "f3" */
    public function __construct(private string $variant = '') {}

    public function name(): string
    {
        return '' === $this->variant ? 'machine voice' : 'machine voice, ' . $this->variant;
    }

    public function speak(string $words, string $language): ?Wav
    {
        if (1 !== preg_match('/^[a-z]{2}$/D', $language) || 1 !== preg_match('/[\p{L}\p{N}]/u', $words)) {
            return null;
        }
        $voice = $language . ('' === $this->variant ? '' : '+' . $this->variant);

        return Tools::inFolder(static function (string $folder) use ($words, $voice): ?Wav {
            try {
                $read = $folder . '/read.wav';
                Tools::run(
                    [
                        'espeak-ng',
                        '--stdin',
                        '-b',
                        '1',
                        '-s',
                        (string) self::WORDS_PER_MINUTE,
                        '-v',
                        $voice,
                        '-w',
                        $read,
                    ],
                    $words,
                );
            } catch (ToolFailed) {
                return null;
            }
            $heard = $folder . '/heard.wav';
            Tools::run([
                'sox',
                '-D',
                $read,
                '-b',
                '16',
                '-c',
                '1',
                '-r',
                '8000',
                $heard,
                'gain',
                '-n',
                (string) self::PEAK,
            ]);

            return Wav::of((string) file_get_contents($heard));
        });
    }
}
