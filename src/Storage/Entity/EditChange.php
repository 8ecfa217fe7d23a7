<?php

declare(strict_types=1);

namespace Meandros\Server\Storage\Entity;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** What an edit did to one element; null before means added, null after means removed. */
#[ORM\Entity]
#[ORM\Table(name: 'edit_change')]
class EditChange
{
    #[ORM\Id]
    #[ORM\GeneratedValue(strategy: 'IDENTITY')]
    #[ORM\Column(type: Types::BIGINT)]
    public ?int $id = null;

    /**
     * @param array<string, mixed>|null $before
     * @param array<string, mixed>|null $after
     */
    public function __construct(
        #[ORM\ManyToOne(targetEntity: Edit::class, inversedBy: 'changes')]
        #[ORM\JoinColumn(nullable: false)]
        private Edit $edit,
        #[ORM\Column(name: 'element_id', length: 64)]
        public readonly string $elementId,
        #[ORM\Column(type: Types::JSON, nullable: true, options: ['jsonb' => true])]
        public readonly ?array $before,
        #[ORM\Column(type: Types::JSON, nullable: true, options: ['jsonb' => true])]
        public readonly ?array $after,
    ) {
    }

    public function edit(): Edit
    {
        return $this->edit;
    }
}
