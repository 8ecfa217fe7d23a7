<?php

declare(strict_types=1);

namespace Meandros\Server\Storage\Entity;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Meandros\Core\Call\Status;

/** The status that a person last set. Instants are Unix seconds. */
#[ORM\Entity]
#[ORM\Table(name: 'person_status')]
class PersonStatus
{
    #[ORM\Column(length: 20, enumType: Status::class)]
    public Status $status = Status::Available;

    #[ORM\Column(name: 'until_at', type: Types::BIGINT, nullable: true)]
    public ?int $until = null;

    #[ORM\Column(length: 100)]
    public string $who = '';

    #[ORM\Column(name: 'set_at', type: Types::BIGINT)]
    public int $setAt = 0;

    public function __construct(#[ORM\Id] #[ORM\Column(length: 64)] public readonly string $person) {}

    public function set(Status $status, ?int $until, string $who, int $now): void
    {
        [$this->status, $this->until, $this->who, $this->setAt] = [$status, $until, $who, $now];
    }
}
