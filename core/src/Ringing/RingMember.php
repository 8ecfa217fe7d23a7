<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Phones that ring together for one member of a team, or for one person. */
final readonly class RingMember
{
    /**
     * @param string          $who     a person's id, a phone ("per_x/desk") or a number in E.164
     * @param list<RingPhone> $phones
     * @param int             $tier    1 rings first where a team widens
     * @param int|null        $seconds how long this member rings at most; null for as long as the pattern says
     */
    public function __construct(public string $who, public array $phones, public int $tier = 1, public ?int $seconds = null)
    {
    }

    /** @param list<RingPhone> $phones */
    public function withPhones(array $phones): self
    {
        return new self($this->who, $phones, $this->tier, $this->seconds);
    }
}
