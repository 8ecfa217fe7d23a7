<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Meandros\Core\Plan\Element\Sound;
use Meandros\Server\Now;

/** Sounds, kept by the SHA-256 of their bytes: what is there never changes. */
final readonly class Sounds
{
    public function __construct(private Connection $database, private Now $now) {}

    public function keep(Wav $wav): Sound
    {
        $this->database->executeStatement(
            'INSERT INTO sound (sha256, milliseconds, size, bytes, made_at) VALUES (?, ?, ?, ?, ?) ON CONFLICT DO NOTHING',
            [$wav->sha256(), $wav->milliseconds, \strlen($wav->bytes), $wav->bytes, $this->now->second()],
            [3 => ParameterType::LARGE_OBJECT],
        );

        return new Sound($wav->sha256(), $wav->milliseconds);
    }

    /** @return int|null bytes; null where there is no such sound */
    public function size(string $sha256): ?int
    {
        $size = $this->database->fetchOne('SELECT size FROM sound WHERE sha256 = ?', [$sha256]);

        return is_numeric($size) ? (int) $size : null;
    }

    /** @return string so many of its bytes, from that one on; empty where there is no such sound */
    public function read(string $sha256, int $from = 0, int $count = \PHP_INT_MAX): string
    {
        $bytes = $this->database->fetchOne(
            'SELECT substring(bytes FROM ? FOR ?) FROM sound WHERE sha256 = ?',
            [$from + 1, min($count, 1_000_000_000), $sha256],
            [ParameterType::INTEGER, ParameterType::INTEGER, ParameterType::STRING],
        );

        return match (true) {
            \is_resource($bytes) => (string) stream_get_contents($bytes),
            \is_string($bytes) => $bytes,
            default => '',
        };
    }
}
