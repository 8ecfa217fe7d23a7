<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Target;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Somebody in a team: a person, a single phone of a person, or a number outside. */
final readonly class TeamMember
{
    /**
     * @param Target   $who      a person, a single phone of a person, or a number outside
     * @param bool     $on       members that are off do not ring, and keep their place
     * @param int      $tier     1 to 9, for teams that widen
     * @param int|null $seconds  how long this member rings at most; null for as long as the team says
     * @param bool     $askFirst the one who picks up presses 1 to take the call: a mailbox does not
     */
    public function __construct(
        public Target $who,
        public bool $on = true,
        public int $tier = 1,
        public ?int $seconds = null,
        public bool $askFirst = false,
    ) {}

    /** A member may be written as an object, or as a target alone. */
    public static function fromJson(Input $in): self
    {
        if ($in->isText()) {
            return new self(self::who($in));
        }
        $in->onlyFields(['who', 'on', 'tier', 'seconds', 'askFirst']);
        $who = self::who($in->field('who'));
        $seconds = $in->field('seconds');

        return new self(
            $who,
            $in->field('on')->flag(true),
            $in->field('tier')->whole(1, 9, 'the tier', 1),
            $seconds->isGiven() ? $seconds->whole(1, 600, 'seconds') : null,
            $in->field('askFirst')->flag(false),
        );
    }

    private static function who(Input $in): Target
    {
        ($in->isGiven() && '' !== $in->optionalText(Limits::TARGET)) || $in->complain('nobody-chosen');

        return Target::readOrPhone($in) ?? Target::end();
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'who' => $this->who->text(),
            'on' => $this->on,
            'tier' => $this->tier,
            'seconds' => $this->seconds,
            'askFirst' => $this->askFirst,
        ];
    }
}
