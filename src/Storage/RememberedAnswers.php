<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Meandros\Server\Now;

/** Answers to writes, kept for a day under the key of their request: a request that comes again is answered, not done again. */
final readonly class RememberedAnswers
{
    public const SECONDS = 86400;
    private const LOCK = 7120004;

    public function __construct(private Connection $database, private Now $now) {}

    /** Whether nobody else works on a request of this key; kept so until the transaction ends. */
    public function take(string $key): bool
    {
        return (bool) $this->database->fetchOne('SELECT pg_try_advisory_xact_lock(?, hashtext(?))', [self::LOCK, $key]);
    }

    /** @return array{fingerprint: string, status: int, headers: array<string, string>, body: string}|null */
    public function find(string $key): ?array
    {
        /** @var array{fingerprint: string, status: int, headers: string, body: string}|false $row */
        $row = $this->database->fetchAssociative(
            'SELECT fingerprint, status, headers, body FROM remembered_answer WHERE key = ? AND made_at > ?',
            [$key, $this->now->second() - self::SECONDS],
        );
        if (false === $row) {
            return null;
        }
        /** @var array<string, string> $headers */
        $headers = json_decode($row['headers'], true, 2, \JSON_THROW_ON_ERROR);

        return ['headers' => $headers] + $row;
    }

    /** @param array<string, string> $headers */
    public function keep(string $key, string $fingerprint, int $status, array $headers, string $body): void
    {
        $now = $this->now->second();
        $this->database->executeStatement(
            'WITH gone AS (DELETE FROM remembered_answer WHERE made_at <= ? AND key <> ?) INSERT INTO remembered_answer (key, fingerprint, status, headers, body, made_at) VALUES (?, ?, ?, ?, ?, ?)
            ON CONFLICT (key) DO UPDATE SET fingerprint = EXCLUDED.fingerprint, status = EXCLUDED.status, headers = EXCLUDED.headers, body = EXCLUDED.body, made_at = EXCLUDED.made_at',
            [
                $now - self::SECONDS,
                $key,
                $key,
                $fingerprint,
                $status,
                json_encode((object) $headers, \JSON_THROW_ON_ERROR),
                $body,
                $now,
            ],
        );
    }
}
