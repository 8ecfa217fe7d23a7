<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** When it holds: which phones ring, in which stages, and what happens if nobody answers, all are busy or out of reach. */
final readonly class AnsweringRule
{
    /** @param array<string, RuleOutcome> $then by outcome: nobody, busy, unreachable */
    public function __construct(
        public string $id,
        public string $name,
        public RuleTerm $term,
        public RuleRinging $ringing,
        public array $then,
    ) {}

    /** @param list<string> $phones ids of the person's phones */
    public static function fromJson(Input $in, array $phones): self
    {
        $in->onlyFields(['id', 'name', 'on', 'until', 'when', 'stages', 'againMinutes', 'next', 'greetings']);

        return new self(
            $in->field('id')->id(),
            $in->field('name')->text(Limits::SHORT_NAME),
            RuleTerm::fromJson($in),
            RuleRinging::fromJson($in, $phones),
            RuleOutcome::all($in),
        );
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        $references = $this->term->when->references($pointer . '/when');
        foreach ($this->ringing->stages as $i => $stage) {
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
            'on' => $this->term->on,
            'until' => $this->term->until,
            'when' => $this->term->when->toJson(),
            'stages' => array_map(static fn(RuleStage $stage): array => $stage->toJson(), $this->ringing->stages),
            'againMinutes' => $this->ringing->againMinutes,
            'next' => array_map(static fn(RuleOutcome $outcome): ?string => $outcome->to?->text(), $this->then),
            'greetings' => array_map(static fn(RuleOutcome $outcome): ?string => $outcome->greeting, $this->then),
        ];
    }
}
