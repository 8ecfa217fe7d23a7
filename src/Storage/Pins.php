<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;

/** PINs of mailboxes: hashed, and never shown again. No plan and no edition holds them. */
final readonly class Pins
{
    public function __construct(private Connection $database) {}

    /** @return list<string> mailboxes that have one */
    public function all(): array
    {
        /** @var list<string> $mailboxes */
        $mailboxes = $this->database->fetchFirstColumn('SELECT mailbox FROM mailbox_pin ORDER BY mailbox');

        return $mailboxes;
    }

    /** @param string|null $pin null to take it away */
    public function set(string $mailbox, #[\SensitiveParameter] ?string $pin, string $who, int $now): void
    {
        if (null === $pin) {
            $this->database->executeStatement('DELETE FROM mailbox_pin WHERE mailbox = ?', [$mailbox]);

            return;
        }
        $this->database->executeStatement(
            'INSERT INTO mailbox_pin (mailbox, hash, who, set_at) VALUES (?, ?, ?, ?)
            ON CONFLICT (mailbox) DO UPDATE SET hash = EXCLUDED.hash, who = EXCLUDED.who, set_at = EXCLUDED.set_at',
            [$mailbox, password_hash($pin, \PASSWORD_DEFAULT), $who, $now],
        );
    }
}
