<?php

declare(strict_types=1);

namespace Meandros\Server\Storage\Entity;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** One act of editing, with every element that it changed: undo, history and audit read from here. */
#[ORM\Entity]
#[ORM\Table(name: 'edit')]
class Edit
{
    #[ORM\Id]
    #[ORM\GeneratedValue(strategy: 'IDENTITY')]
    #[ORM\Column(type: Types::BIGINT)]
    public ?int $id = null;

    #[ORM\Column(length: 10, enumType: EditState::class)]
    public EditState $state = EditState::Done;

    /** The plan's name before and after; null where the edit did not change it. */
    #[ORM\Column(name: 'name_before', length: 200, nullable: true)]
    public ?string $nameBefore = null;

    #[ORM\Column(name: 'name_after', length: 200, nullable: true)]
    public ?string $nameAfter = null;

    /** @var Collection<int, EditChange> */
    #[ORM\OneToMany(targetEntity: EditChange::class, mappedBy: 'edit', cascade: ['persist'])]
    #[ORM\OrderBy(['id' => 'ASC'])]
    private Collection $changes;

    public function __construct(
        #[ORM\Column(length: 300)]
        public readonly string $label,
        #[ORM\Column(length: 100)]
        public readonly string $who,
        #[ORM\Column(name: 'made_at', type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $madeAt,
    ) {
        $this->changes = new ArrayCollection();
    }

    /**
     * @param array<string, mixed>|null $before
     * @param array<string, mixed>|null $after
     */
    public function add(string $elementId, ?array $before, ?array $after): void
    {
        $this->changes->add(new EditChange($this, $elementId, $before, $after));
    }

    /** @return list<EditChange> */
    public function changes(): array
    {
        return array_values($this->changes->toArray());
    }
}
