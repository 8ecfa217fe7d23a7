<?php

declare(strict_types=1);

namespace Meandros\Server\Storage\Entity;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Meandros\Core\Time\ForcedBy;
use Meandros\Core\Time\Override;

/** Hours that somebody forced into a state, and when that ended. Instants are Unix seconds. */
#[ORM\Entity]
#[ORM\Table(name: 'hours_override')]
class HoursOverride
{
    #[ORM\Id]
    #[ORM\GeneratedValue(strategy: 'IDENTITY')]
    #[ORM\Column(type: Types::BIGINT)]
    public ?int $id = null;

    #[ORM\Column(name: 'lifted_at', type: Types::BIGINT, nullable: true)]
    public ?int $liftedAt = null;

    #[ORM\Column(name: 'lifted_by', length: 100, nullable: true)]
    public ?string $liftedBy = null;

    #[ORM\Column(length: 200)]
    public readonly string $reason;

    #[ORM\Column(length: 100)]
    public readonly string $who;

    public function __construct(
        #[ORM\Column(length: 64)] public readonly string $hours,
        #[ORM\Column(length: 64)] public readonly string $state,
        ForcedBy $by,
        #[ORM\Column(length: 20)] public readonly string $ends,
        #[ORM\Column(name: 'until_at', type: Types::BIGINT, nullable: true)] public readonly ?int $until,
        #[ORM\Column(name: 'set_at', type: Types::BIGINT)] public readonly int $setAt,
    ) {
        $this->reason = $by->reason;
        $this->who = $by->who;
    }

    public function endsAt(): ?int
    {
        $ends = array_filter([$this->until, $this->liftedAt], static fn(?int $instant): bool => null !== $instant);

        return [] === $ends ? null : min($ends);
    }

    public function isOn(int $now): bool
    {
        return $this->setAt <= $now && $now < ($this->endsAt() ?? \PHP_INT_MAX);
    }

    public function toOverride(): Override
    {
        return new Override(
            (string) $this->id,
            $this->hours,
            $this->state,
            $this->setAt,
            $this->endsAt(),
            new ForcedBy($this->who, $this->reason),
        );
    }
}
