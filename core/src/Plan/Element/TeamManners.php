<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** What a team heeds of its members before it rings them. */
final readonly class TeamManners
{
    /**
     * @param bool $followRules  whether members' answering rules say which of their phones ring, or all do
     * @param bool $skipBusy     whether somebody on a call is passed over, also where a phone of theirs takes another
     * @param int  $pauseSeconds after a call a member is not rung for so long
     */
    public function __construct(public bool $followRules, public bool $skipBusy, public int $pauseSeconds) {}

    /** @param Input $in the team */
    public static function fromJson(Input $in): self
    {
        return new self(
            $in->field('followRules')->flag(false),
            $in->field('skipBusy')->flag(false),
            $in->field('pauseSeconds')->whole(0, 600, 'seconds', 0),
        );
    }
}
