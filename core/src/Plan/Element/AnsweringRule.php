<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\LocalEnd;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** When it holds: which phones ring, in which stages, and what happens if nobody answers, all are busy or out of reach. */
final readonly class AnsweringRule
{
    /**
     * @param string|null                $until        local date and time at the person's site from which on it does not hold any more
     * @param list<RuleStage>            $stages
     * @param array<string, RuleOutcome> $then         by outcome: nobody, busy, unreachable
     * @param int                        $againMinutes the caller is kept, and the stages begin anew, for up to so long; 0 to ring once
     */
    public function __construct(
        public string $id,
        public string $name,
        public bool $on,
        public ?string $until,
        public RuleCondition $when,
        public array $stages,
        public array $then,
        public int $againMinutes = 0,
    ) {}

    /** @param list<string> $phones ids of the person's phones */
    public static function fromJson(Input $in, array $phones): self
    {
        $in->onlyFields(['id', 'name', 'on', 'until', 'when', 'stages', 'againMinutes', 'next', 'greetings']);
        $stages = [];
        foreach ($in->field('stages')->items(Limits::STAGES) as $item) {
            $stage = RuleStage::fromJson($item, $phones);
            if (null !== $stage) {
                $stages[] = $stage;
            }
        }

        return new self(
            $in->field('id')->id(),
            $in->field('name')->text(60),
            $in->field('on')->flag(true),
            LocalEnd::read($in->field('until')),
            RuleCondition::fromJson($in->field('when')),
            $stages,
            RuleOutcome::all($in),
            $in->field('againMinutes')->whole(0, RingStep::MOST_MINUTES, 'minutes', 0),
        );
    }

    /** Seconds after which the last stage is over. */
    public function seconds(): int
    {
        return max([0, ...array_map(static fn(RuleStage $stage): int => $stage->end(), $this->stages)]);
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        $references = $this->when->references($pointer . '/when');
        foreach ($this->stages as $i => $stage) {
            array_push($references, ...$stage->references(\sprintf('%s/stages/%d', $pointer, $i)));
        }
        foreach ($this->then as $name => $outcome) {
            array_push($references, ...$outcome->references($pointer, $name));
        }

        return $references;
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'on' => $this->on,
            'until' => $this->until,
            'when' => $this->when->toJson(),
            'stages' => array_map(static fn(RuleStage $stage): array => $stage->toJson(), $this->stages),
            'againMinutes' => $this->againMinutes,
            'next' => array_map(static fn(RuleOutcome $outcome): ?string => $outcome->to?->text(), $this->then),
            'greetings' => array_map(static fn(RuleOutcome $outcome): ?string => $outcome->greeting, $this->then),
        ];
    }
}
