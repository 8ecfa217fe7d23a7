<?php

declare(strict_types=1);

namespace Meandros\Server\Storage\Entity;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Meandros\Core\Plan\Element;

/** One element of the draft; the revision grows with every write to it. */
#[ORM\Entity]
#[ORM\Table(name: 'draft_element')]
class DraftElement
{
    #[ORM\Id]
    #[ORM\Column(length: 64)]
    public readonly string $id;

    #[ORM\Column(length: 20)]
    public readonly string $kind;

    #[ORM\Column(length: 200)]
    private string $name;

    /** @var array<string, mixed> */
    #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
    private array $body;

    #[ORM\Column(type: Types::BIGINT)]
    private int $revision;

    public function __construct(Element $element, int $revision)
    {
        $this->id = $element->id();
        $this->kind = $element->kind()->value;
        $this->write($element, $revision);
    }

    public function write(Element $element, int $revision): void
    {
        $this->name = $element->name();
        $this->body = $element->toJson();
        $this->revision = $revision;
    }

    public function revision(): int
    {
        return $this->revision;
    }

    public function name(): string
    {
        return $this->name;
    }

    /** @return array<string, mixed> */
    public function body(): array
    {
        return $this->body;
    }
}
