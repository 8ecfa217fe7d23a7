<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** How a queue stands when the call begins: an explicit input of a trial call. With nothing stated nobody is free. */
final readonly class QueueState
{
    /**
     * @param int|null                  $free   seconds until the first agent is free of whom nothing is stated; null where none will be
     * @param array<string, AgentState> $agents by person
     */
    public function __construct(
        public Ahead $ahead = new Ahead(),
        public ?int $free = null,
        public array $agents = [],
        public WaitingCaller $caller = new WaitingCaller(),
    ) {}

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            ...$this->ahead->toJson(),
            'free' => $this->free,
            ...$this->caller->toJson(),
            'agents' => array_map(
                static fn(string $who, AgentState $one): array => ['who' => $who] + $one->toJson(),
                array_keys($this->agents),
                array_values($this->agents),
            ),
        ];
    }

    public static function fromJson(Input $in): self
    {
        $in->onlyFields([
            'queue',
            'ahead',
            'urgentAhead',
            'canWaitAhead',
            'free',
            'agents',
            'leaves',
            'keeps',
            'picksUp',
            'onTry',
        ]);
        $agents = [];
        foreach ($in->field('agents')->items(Limits::MEMBERS) as $item) {
            $agents[$item->field('who')->once($agents)] = AgentState::fromJson($item);
        }

        return new self(
            Ahead::fromJson($in),
            $in->field('free')->optionalWhole(0, 86400, 'seconds'),
            $agents,
            WaitingCaller::fromJson($in),
        );
    }
}
