<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Meandros\Core\Call\SignIn;

/** Who is signed in to which queue: live state, effective at once; every change of it is kept in a log. */
final readonly class SignIns
{
    public function __construct(private Connection $database) {}

    /** @return list<array{queue: string, person: string, state: string, reason: string, who: string, setAt: int}> of those who ever changed it */
    public function all(): array
    {
        return $this->read('SELECT queue, person, state, reason, who, set_at FROM sign_in ORDER BY queue, person', []);
    }

    /** @return list<array{queue: string, person: string, state: string, reason: string, who: string, setAt: int}> the latest first */
    public function log(int $most): array
    {
        return $this->read(
            'SELECT queue, person, state, reason, who, set_at FROM sign_in_log ORDER BY id DESC LIMIT ?',
            [$most],
        );
    }

    public function set(string $queue, string $person, SignIn $state, string $reason, string $who, int $now): void
    {
        $values = [$queue, $person, $state->value, $reason, $who, $now];
        $this->database->transactional(function () use ($values): void {
            $this->database->executeStatement(
                'INSERT INTO sign_in (queue, person, state, reason, who, set_at) VALUES (?, ?, ?, ?, ?, ?)
                ON CONFLICT (queue, person) DO UPDATE SET state = EXCLUDED.state, reason = EXCLUDED.reason, who = EXCLUDED.who, set_at = EXCLUDED.set_at',
                $values,
            );
            $this->database->executeStatement(
                'INSERT INTO sign_in_log (queue, person, state, reason, who, set_at) VALUES (?, ?, ?, ?, ?, ?)',
                $values,
            );
        });
    }

    /**
     * @param list<mixed> $values
     *
     * @return list<array{queue: string, person: string, state: string, reason: string, who: string, setAt: int}>
     */
    private function read(string $query, array $values): array
    {
        $rows = [];
        /** @var array{string, string, string, string, string, int} $row */
        foreach ($this->database->iterateNumeric($query, $values) as $row) {
            $rows[] = [
                'queue' => $row[0],
                'person' => $row[1],
                'state' => $row[2],
                'reason' => $row[3],
                'who' => $row[4],
                'setAt' => (int) $row[5],
            ];
        }

        return $rows;
    }
}
