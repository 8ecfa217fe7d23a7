<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Json\Input;

/** Somebody in a team: a person, a single phone of a person, or a number outside. */
final readonly class TeamMember
{
    /**
     * @param string   $who      a person's id, "per_x/desk" for a single phone, or a number in E.164
     * @param bool     $on       members that are off do not ring, and keep their place
     * @param int      $tier     1 to 9, for teams that widen
     * @param int|null $seconds  how long this member rings at most; null for as long as the team says
     * @param bool     $askFirst the one who picks up presses 1 to take the call: a mailbox does not
     */
    public function __construct(public string $who, public bool $on = true, public int $tier = 1, public ?int $seconds = null, public bool $askFirst = false)
    {
    }

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['who', 'on', 'tier', 'seconds', 'askFirst']);
        $who = $in->field('who')->text(160);
        if (1 === preg_match('/^[+0-9]/', $who)) {
            $who = PhoneNumber::readE164($in->field('who'));
        }
        $seconds = $in->field('seconds');

        return new self($who, $in->field('on')->flag(true), $in->field('tier')->whole(1, 9, 'the tier', 1), $seconds->isGiven() ? $seconds->whole(1, 600, 'seconds') : null, $in->field('askFirst')->flag(false));
    }

    public function isOutside(): bool
    {
        return str_starts_with($this->who, '+');
    }

    /** The person's id; null for a number outside. */
    public function person(): ?string
    {
        return $this->isOutside() ? null : explode('/', $this->who)[0];
    }

    /** The phone's id within the person; null for all of them. */
    public function phone(): ?string
    {
        return explode('/', $this->who, 2)[1] ?? null;
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['who' => $this->who, 'on' => $this->on, 'tier' => $this->tier, 'seconds' => $this->seconds, 'askFirst' => $this->askFirst];
    }
}
