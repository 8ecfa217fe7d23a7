<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Meandros\Core\Reading\InvalidData;

/** Sounds in the coding of telephone networks: ITU-T G.711, A-law or mu-law (PCMA and PCMU of RFC 3551), in WAV. */
final class G711
{
    public const LAWS = ['alaw', 'ulaw'];

    /** @throws InvalidData for another coding */
    public static function of(string $wav, string $law): string
    {
        if (!\in_array($law, self::LAWS, true)) {
            throw InvalidData::at('/as', 'not-a-choice', ['choices' => self::LAWS]);
        }

        return Tools::inFolder(static function (string $folder) use ($wav, $law): string {
            file_put_contents($folder . '/in.wav', $wav);
            $command = ['ffmpeg', '-nostdin', '-v', 'error', '-protocol_whitelist', 'file', '-i', $folder . '/in.wav'];
            Tools::run([
                ...$command,
                '-c:a',
                'pcm_' . ('alaw' === $law ? 'alaw' : 'mulaw'),
                '-bitexact',
                $folder . '/out.wav',
            ]);

            return (string) file_get_contents($folder . '/out.wav');
        });
    }
}
