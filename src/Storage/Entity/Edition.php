<?php

declare(strict_types=1);

namespace Meandros\Server\Storage\Entity;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Meandros\Server\Storage\Publication;

/** A published plan: numbered, dated, and never changed. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'edition')]
class Edition
{
    #[ORM\Column(length: 64)]
    public readonly string $checksum;

    /** Unix seconds at which it was taken back, before it came into force. */
    #[ORM\Column(name: 'revoked_at', type: Types::BIGINT, nullable: true)]
    public ?int $revokedAt = null;

    #[ORM\Column(length: 100)]
    public readonly string $who;

    #[ORM\Column(name: 'published_at', type: Types::DATETIMETZ_IMMUTABLE)]
    public readonly \DateTimeImmutable $publishedAt;

    #[ORM\Column(type: Types::TEXT)]
    public readonly string $note;

    /** @var array<string, string> why it was published although an expectation is broken, by the expectation's id */
    #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
    public readonly array $despite;

    /** @param int $inForceFrom Unix seconds from which calls are routed by it */
    public function __construct(
        #[ORM\Id] #[ORM\Column] public readonly int $number,
        Publication $publication,
        #[ORM\Column(type: Types::TEXT)] public readonly string $document,
        #[ORM\Column(name: 'in_force_from', type: Types::BIGINT)] public readonly int $inForceFrom,
    ) {
        $this->who = $publication->who;
        $this->publishedAt = $publication->at;
        $this->note = $publication->note;
        $this->despite = $publication->despite;
        $this->checksum = hash('sha256', $document);
    }

    public function isIntact(): bool
    {
        return hash_equals($this->checksum, hash('sha256', $this->document));
    }

    /** @return array<string, mixed> without its document */
    public function toJson(): array
    {
        return [
            'number' => $this->number,
            'note' => $this->note,
            'who' => $this->who,
            'at' => $this->publishedAt->format(\DATE_RFC3339),
            'checksum' => $this->checksum,
            'inForceFrom' => gmdate(\DATE_RFC3339, $this->inForceFrom),
            'revokedAt' => null === $this->revokedAt ? null : gmdate(\DATE_RFC3339, $this->revokedAt),
            'despite' => (object) $this->despite,
        ];
    }
}
