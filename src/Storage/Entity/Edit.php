<?php

declare(strict_types=1);

namespace Meandros\Server\Storage\Entity;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** One act of editing: undo, history and audit read from here. What it changed stands in edit_change, element by element. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'edit')]
class Edit
{
    #[ORM\Id]
    #[ORM\GeneratedValue(strategy: 'IDENTITY')]
    #[ORM\Column(type: Types::BIGINT)]
    public ?int $id = null;

    #[ORM\Column(length: 10, enumType: EditState::class)]
    public EditState $state = EditState::Done;

    public function __construct(
        #[ORM\Column(length: 300)] public readonly string $label,
        #[ORM\Column(length: 100)] public readonly string $who,
        #[ORM\Column(name: 'made_at', type: Types::DATETIMETZ_IMMUTABLE)] public readonly \DateTimeImmutable $madeAt,
        /** The plan's name before and after; null where the edit did not change it. */
        #[ORM\Column(name: 'name_before', length: 200, nullable: true)] public readonly ?string $nameBefore = null,
        #[ORM\Column(name: 'name_after', length: 200, nullable: true)] public readonly ?string $nameAfter = null,
    ) {}
}
