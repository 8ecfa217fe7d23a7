<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Meandros\Server\Now;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Files that came in and wait for their work; nobody's memory holds one as a whole. */
final readonly class Uploads
{
    public const MOST_BYTES = 50_000_000;
    private const PART = 1_000_000;
    private const KEPT_SECONDS = 86400;

    public function __construct(private Connection $database, private Now $now) {}

    /**
     * The same name again takes the place of what came before.
     *
     * @param resource $stream
     *
     * @return int bytes
     *
     * @throws HttpException when there are too many
     */
    public function keep(string $id, $stream): int
    {
        return $this->database->transactional(function () use ($id, $stream): int {
            $this->database->executeStatement('DELETE FROM upload WHERE id = ? OR made_at < ?', [
                $id,
                $this->now->second() - self::KEPT_SECONDS,
            ]);
            $this->database->executeStatement('INSERT INTO upload (id, size, made_at) VALUES (?, 0, ?)', [
                $id,
                $this->now->second(),
            ]);
            $size = 0;
            for ($place = 0; !feof($stream); ++$place) {
                $bytes = (string) stream_get_contents($stream, self::PART);
                $size += \strlen($bytes);
                if ($size > self::MOST_BYTES) {
                    throw new HttpException(413, 'A file may have 50 MB at most.');
                }
                $this->database->executeStatement(
                    'INSERT INTO upload_part (upload, place, bytes) VALUES (?, ?, ?)',
                    [$id, $place, $bytes],
                    [2 => ParameterType::LARGE_OBJECT],
                );
            }
            $this->database->executeStatement('UPDATE upload SET size = ? WHERE id = ?', [$size, $id]);

            return $size;
        });
    }

    /** @return int|null bytes; null where there is no such file, or no more */
    public function size(string $id): ?int
    {
        $size = $this->database->fetchOne('SELECT size FROM upload WHERE id = ?', [$id]);

        return is_numeric($size) ? (int) $size : null;
    }

    public function write(string $id, string $file): void
    {
        $out = fopen($file, 'w');
        \assert(false !== $out);
        for ($place = 0; ; ++$place) {
            $bytes = $this->database->fetchOne('SELECT bytes FROM upload_part WHERE upload = ? AND place = ?', [
                $id,
                $place,
            ]);
            if (false === $bytes) {
                break;
            }
            fwrite(
                $out,
                \is_resource($bytes) ? (string) stream_get_contents($bytes) : (\is_string($bytes) ? $bytes : ''),
            );
        }
        fclose($out);
    }

    public function drop(string $id): void
    {
        $this->database->executeStatement('DELETE FROM upload WHERE id = ?', [$id]);
    }
}
