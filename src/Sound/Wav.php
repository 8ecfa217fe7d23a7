<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Meandros\Core\Plan\Element\Sound;

/** What telephones carry: mono, 8 kHz, 16-bit PCM in WAV (Multimedia Programming Interface 1.0, IBM and Microsoft, 1991). */
final readonly class Wav
{
    private const BYTES_PER_MILLISECOND = (2 * Sound::RATE) / 1000;

    private function __construct(public string $bytes, public int $milliseconds) {}

    /**
     * @param string $bytes of a WAV as programs write it that are told to write this one
     *
     * @throws \UnexpectedValueException for any other
     */
    public static function of(string $bytes): self
    {
        $format = unpack('a4riff/Vsize/a4wave', $bytes);
        $data = null;
        for ($at = 12; $at + 8 <= \strlen($bytes); $at += 8 + $length + ($length & 1)) {
            $part = unpack('a4name/Vlength', $bytes, $at);
            \assert(false !== $part && \is_int($part['length']));
            $length = $part['length'];
            if ('fmt ' === $part['name'] && $length >= 16) {
                $format = [
                    ...$format ?: [],
                    ...unpack('vcode/vchannels/Vrate/Vspeed/valign/vbits', $bytes, $at + 8) ?: [],
                ];
            } elseif ('data' === $part['name']) {
                $data = min($length, \strlen($bytes) - $at - 8);
            }
        }
        if (
            null === $data ||
            false === $format ||
            ['RIFF', 'WAVE'] !== [$format['riff'], $format['wave']] ||
            [1, 1, Sound::RATE, 16] !== [
                $format['code'] ?? 0,
                $format['channels'] ?? 0,
                $format['rate'] ?? 0,
                $format['bits'] ?? 0,
            ]
        ) {
            throw new \UnexpectedValueException('This is no mono WAV of 8 kHz and 16 bits.');
        }

        return new self($bytes, (int) round($data / self::BYTES_PER_MILLISECOND));
    }

    public function sha256(): string
    {
        return hash('sha256', $this->bytes);
    }
}
