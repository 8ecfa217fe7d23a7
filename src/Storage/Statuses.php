<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Meandros\Core\Call\Status;
use Meandros\Server\Storage\Entity\PersonStatus;
use Symfony\Component\DependencyInjection\Attribute\Lazy;

/** What people say of themselves; somebody without an entry is available. */
final readonly class Statuses
{
    public function __construct(#[Lazy] private EntityManagerInterface $entities, private Connection $database) {}

    /** @return list<PersonStatus> in force */
    public function all(int $now): array
    {
        /** @var list<PersonStatus> $rows */
        $rows = $this->entities
            ->createQuery(
                'SELECT s FROM ' .
                    PersonStatus::class .
                    ' s WHERE s.status <> :available AND (s.until IS NULL OR s.until > :now) ORDER BY s.person',
            )
            ->setParameter('available', Status::Available->value)
            ->setParameter('now', $now)
            ->getResult();

        return $rows;
    }

    public function set(string $person, Status $status, ?int $until, string $who, int $now): PersonStatus
    {
        // Several may set it for the first time at once: the last one counts.
        $this->database->executeStatement(
            'INSERT INTO person_status (person, status, until_at, who, set_at) VALUES (?, ?, ?, ?, ?)
            ON CONFLICT (person) DO UPDATE SET status = EXCLUDED.status, until_at = EXCLUDED.until_at, who = EXCLUDED.who, set_at = EXCLUDED.set_at',
            [$person, $status->value, $until, $who, $now],
        );
        $row = new PersonStatus($person);
        $row->set($status, $until, $who, $now);

        return $row;
    }
}
