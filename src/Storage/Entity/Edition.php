<?php

declare(strict_types=1);

namespace Meandros\Server\Storage\Entity;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** A published plan: numbered, dated, and never changed. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'edition')]
class Edition
{
    #[ORM\Column(length: 64)]
    public readonly string $checksum;

    public function __construct(
        #[ORM\Id] #[ORM\Column] public readonly int $number,
        #[ORM\Column(type: Types::TEXT)] public readonly string $note,
        #[ORM\Column(length: 100)] public readonly string $who,
        #[
            ORM\Column(name: 'published_at', type: Types::DATETIMETZ_IMMUTABLE),
        ]
        public readonly \DateTimeImmutable $publishedAt,
        #[ORM\Column(type: Types::TEXT)] public readonly string $document,
    ) {
        $this->checksum = hash('sha256', $document);
    }

    public function isIntact(): bool
    {
        return hash_equals($this->checksum, hash('sha256', $this->document));
    }
}
