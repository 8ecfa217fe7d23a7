<?php

declare(strict_types=1);

namespace Meandros\Server\Outbox;

use Doctrine\DBAL\Connection;

/** E-mails that were sent, kept where they can be read: nothing leaves this machine. */
final readonly class Outbox
{
    /** Older ones make room. */
    private const KEPT = 500;

    public function __construct(private Connection $database) {}

    /** @param list<string> $to */
    public function add(
        array $to,
        string $subject,
        string $text,
        string $message,
        int $now,
        ?string $sound = null,
    ): void {
        $this->database->transactional(function () use ($to, $subject, $text, $message, $now, $sound): void {
            $this->database->executeStatement(
                'INSERT INTO outbox (sent_at, recipients, subject, text, message, sound) VALUES (?, ?, ?, ?, ?, ?)',
                [$now, implode(', ', $to), $subject, $text, $message, $sound],
            );
            $this->database->executeStatement('DELETE FROM outbox WHERE id <= (SELECT max(id) FROM outbox) - ?', [
                self::KEPT,
            ]);
        });
    }

    /**
     * @param int|null $before only those before the one of that number
     *
     * @return list<array{id: int, sentAt: int, to: string, subject: string, text: string, sound: string|null}> the latest first
     */
    public function list(int $most, ?int $before): array
    {
        $letters = [];
        /** @var array{int, int, string, string, string, string|null} $row */
        foreach (
            $this->database->iterateNumeric(
                'SELECT id, sent_at, recipients, subject, text, sound FROM outbox WHERE id < ? ORDER BY id DESC LIMIT ?',
                [$before ?? \PHP_INT_MAX, $most],
            )
            as $row
        ) {
            $letters[] = [
                'id' => (int) $row[0],
                'sentAt' => (int) $row[1],
                'to' => $row[2],
                'subject' => $row[3],
                'text' => $row[4],
                'sound' => $row[5],
            ];
        }

        return $letters;
    }

    /** @return string|null the message as it was sent (RFC 5322) */
    public function message(int $id): ?string
    {
        $message = $this->database->fetchOne('SELECT message FROM outbox WHERE id = ?', [$id]);

        return \is_string($message) ? $message : null;
    }

    public function clear(): void
    {
        $this->database->executeStatement('DELETE FROM outbox');
    }
}
