<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Meandros\Core\Plan\Element\Sound;
use Meandros\Core\Plan\Element\SoundMeasures;
use Meandros\Core\Reading\InvalidData;
use Symfony\Component\Mime\FileinfoMimeTypeGuesser;

/** A file that somebody brings: looked at, and made into what telephones carry. */
final class SoundFile
{
    /** dBTP that nothing goes above. */
    private const HIGHEST = -2;
    /** Below it nothing is heard, in dBFS (common practice). */
    private const SILENT = -45;
    /** Seconds of silence that are left at both ends. */
    private const MARGIN = 0.15;
    /** What is taken, by ffmpeg's names: what is no sound file, or names other files, is not among them. */
    private const FORMATS = 'wav,mp3,flac,ogg,mov,mp4,m4a,aac,matroska,webm';
    /** Both channels at half their level: in 16 bits, they are mixed alike when it is measured and when it is made. */
    private const MONO = 'aformat=channel_layouts=mono:sample_fmts=s16:sample_rates=';
    private const READ = ['-protocol_whitelist', 'file', '-format_whitelist', self::FORMATS];

    /** @param string $name as whoever brings it calls it */
    public function __construct(private readonly string $path, private readonly string $name) {}

    /**
     * @param bool                    $trim      whether silence at both ends is cut
     * @param int                     $loudness  LUFS to which it is brought
     * @param (\Closure(): void)|null $meanwhile
     *
     * @return array{Wav, SoundMeasures}
     *
     * @throws InvalidData when it cannot be taken, and why
     */
    public function take(bool $trim, int $loudness, ?\Closure $meanwhile = null): array
    {
        $rate = $this->look();
        [$measures, $loudnorm, $heard] = $this->measure($rate, $loudness, $meanwhile);
        $filters = [
            self::MONO . $rate,
            ...$trim ? [$heard] : [],
            ...null === $loudnorm ? [] : [$loudnorm],
            'aresample=' . Sound::RATE,
            'aformat=channel_layouts=mono',
        ];
        $out = \dirname($this->path) . '/out.wav';
        $this->ffmpeg(
            implode(',', $filters),
            ['-c:a', 'pcm_s16le', '-map_metadata', '-1', '-bitexact', '-f', 'wav', $out],
            $meanwhile,
        );

        return [Wav::of((string) file_get_contents($out)), $measures];
    }

    /**
     * @return int samples a second
     *
     * @throws InvalidData
     */
    private function look(): int
    {
        if (0 === filesize($this->path)) {
            throw $this->refused('sound-empty');
        }
        try {
            $found = json_decode(
                Tools::run([
                    'ffprobe',
                    '-v',
                    'error',
                    ...self::READ,
                    '-select_streams',
                    'a:0',
                    '-show_entries',
                    'stream=sample_rate,channels:format=duration',
                    '-of',
                    'json',
                    $this->path,
                ])->text,
                true,
            );
        } catch (ToolFailed) {
            throw $this->refused('sound-unreadable');
        }
        $stream = \is_array($found) && \is_array($found['streams'] ?? null) ? $found['streams'][0] ?? null : null;
        if (!\is_array($stream) || !is_numeric($stream['sample_rate'] ?? null)) {
            throw $this->refused('sound-without-sound');
        }
        // What a header says may not be so: what is longer all the same is cut, and refused, below.
        $format = $found['format'] ?? null;
        $seconds = \is_array($format) && is_numeric($format['duration'] ?? null) ? (float) $format['duration'] : 0.0;
        if ($seconds > Sound::MOST_MILLISECONDS / 1000) {
            throw $this->tooLong($seconds);
        }

        return (int) $stream['sample_rate'];
    }

    /**
     * @param (\Closure(): void)|null $meanwhile
     *
     * @return array{SoundMeasures, string|null, string} with the filter that brings it to the level, where that can be told, and
     *                                                   the one that leaves what is heard
     *
     * @throws InvalidData
     */
    private function measure(int $rate, int $target, ?\Closure $meanwhile): array
    {
        $said = $this->ffmpeg(
            implode(',', [
                self::MONO . $rate,
                'astats=measure_perchannel=none',
                \sprintf('silencedetect=n=%ddB:d=0.3', self::SILENT),
                'ebur128=peak=true:framelog=verbose',
            ]),
            ['-f', 'null', '-'],
            $meanwhile,
        );
        $of = static fn(string $what): ?float => 1 === preg_match('/' . $what . '"?\s*:\s*"?(-?[0-9.]+)/', $said, $part)
            ? (float) $part[1]
            : null;
        $seconds = ($of('Number of samples') ?? 0) / $rate;
        if ($seconds > Sound::MOST_MILLISECONDS / 1000) {
            throw $this->tooLong($seconds);
        }
        preg_match_all('/silence_start: (-?[0-9.]+)\s.*?silence_end: ([0-9.]+)/s', $said, $found, \PREG_SET_ORDER);
        $silences = array_map(static fn(array $one): array => [max(0.0, (float) $one[1]), (float) $one[2]], $found);
        $silent = array_sum(array_map(static fn(array $one): float => $one[1] - $one[0], $silences));
        if ($silent >= 0.99 * $seconds) {
            throw $this->refused('sound-silent');
        }
        $peak = $of('Peak level dB');
        [$loudness, $truePeak] = [$of('    I'), $of('    Peak')];
        $measures = new SoundMeasures(
            null === $loudness || $loudness < -70 ? null : (int) round($loudness),
            null === $truePeak ? null : max(-120, (int) round($truePeak)),
            null !== $peak && $peak > -0.01 ? (int) $of('Peak count') : 0,
            min(100, (int) round((100 * $silent) / $seconds)),
        );

        return [
            $measures,
            null === $measures->loudness ? null : self::level($target, (float) $loudness, (float) $truePeak),
            self::heard($silences, $seconds),
        ];
    }

    /**
     * The filter that brings it to the level: one gain for all of it where the peaks allow that, which is what loudnorm does then,
     * at a fraction of its time; else loudnorm, which holds the peaks.
     */
    private static function level(int $target, float $loudness, float $truePeak): string
    {
        $gain = $target - $loudness;

        return $truePeak + $gain <= self::HIGHEST
            ? \sprintf('volume=%.2FdB', $gain)
            : \sprintf('loudnorm=I=%d:TP=%d:LRA=11', $target, self::HIGHEST);
    }

    /** @param list<array{float, float}> $silences seconds from and to, in order */
    private static function heard(array $silences, float $seconds): string
    {
        [$from, $to] = [0.0, $seconds];
        foreach ($silences as [$start, $end]) {
            if ($start < 0.01) {
                $from = max(0.0, $end - self::MARGIN);
            } elseif ($end > $seconds - 0.01) {
                $to = min($seconds, $start + self::MARGIN);
            }
        }

        return \sprintf('atrim=%.4F:%.4F,asetpts=PTS-STARTPTS', $from, $to);
    }

    /**
     * @param list<string>            $into
     * @param (\Closure(): void)|null $meanwhile
     *
     * @return string what it said
     *
     * @throws InvalidData
     */
    private function ffmpeg(string $filters, array $into, ?\Closure $meanwhile): string
    {
        // A second more than there may be: it is seen that it is too long.
        $most = (string) (1 + Sound::MOST_MILLISECONDS / 1000);
        try {
            return Tools::run(
                [
                    'ffmpeg',
                    '-nostdin',
                    '-hide_banner',
                    '-nostats',
                    '-threads',
                    '1',
                    ...self::READ,
                    '-i',
                    $this->path,
                    '-map',
                    '0:a:0',
                    '-t',
                    $most,
                    '-af',
                    $filters,
                    ...$into,
                ],
                meanwhile: $meanwhile,
            )->said;
        } catch (ToolFailed) {
            throw $this->refused('sound-unreadable');
        }
    }

    private function tooLong(float $seconds): InvalidData
    {
        return InvalidData::at('/upload', 'sound-too-long', [
            'name' => $this->name,
            'minutes' => (int) ceil($seconds / 60),
            'most' => intdiv(Sound::MOST_MILLISECONDS, 60_000),
        ]);
    }

    private function refused(string $code): InvalidData
    {
        $type = (new FileinfoMimeTypeGuesser())->guessMimeType($this->path);
        $isKnown = null !== $type && 'application/octet-stream' !== $type;

        return InvalidData::at('/upload', $code, [
            'name' => $this->name,
            'type' => $isKnown ? $type : 'of an unknown kind',
        ]);
    }
}
