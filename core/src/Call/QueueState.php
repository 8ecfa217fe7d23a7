<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** How a queue stands when the call begins: an explicit input of a trial call. With nothing stated nobody is free. */
final readonly class QueueState
{
    /**
     * @param int                       $ahead  callers who wait already
     * @param int|null                  $free   seconds until the first agent is free of whom nothing is stated; null where none will be
     * @param array<string, AgentState> $agents by person
     * @param int|null                  $leaves seconds of waiting after which the caller presses the key that leaves, where there is one
     */
    public function __construct(public int $ahead = 0, public ?int $free = null, public array $agents = [], public ?int $leaves = null)
    {
    }

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['queue', 'ahead', 'free', 'agents', 'leaves']);
        $agents = [];
        foreach ($in->field('agents')->items(Limits::MEMBERS) as $item) {
            $agents[$item->field('who')->once($agents)] = AgentState::fromJson($item);
        }

        return new self($in->field('ahead')->whole(0, Limits::WAITING, 'callers', 0), $in->field('free')->optionalWhole(0, 86400, 'seconds'), $agents, $in->field('leaves')->optionalWhole(0, 86400, 'seconds'));
    }
}
