<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\ORM\EntityManagerInterface;
use Meandros\Core\Plan\Element\Status;
use Meandros\Server\Storage\Entity\PersonStatus;

/** What people say of themselves; somebody without an entry is available. */
final readonly class Statuses
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @return array<string, Status> by person */
    public function now(int $now): array
    {
        $statuses = [];
        foreach ($this->all($now) as $row) {
            $statuses[$row->person] = $row->status;
        }

        return $statuses;
    }

    /** @return list<PersonStatus> in force */
    public function all(int $now): array
    {
        return array_values(array_filter($this->entities->getRepository(PersonStatus::class)->findAll(), static fn (PersonStatus $row): bool => $row->isInForce($now)));
    }

    public function set(string $person, Status $status, ?int $until, string $who, int $now): PersonStatus
    {
        $row = $this->entities->find(PersonStatus::class, $person) ?? new PersonStatus($person);
        $row->set($status, $until, $who, $now);
        $this->entities->persist($row);
        $this->entities->flush();

        return $row;
    }
}
