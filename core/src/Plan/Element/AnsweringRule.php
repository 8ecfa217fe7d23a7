<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Json\Input;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;

/** When it holds: which phones ring, in which stages, and what happens if nobody answers, all are busy or out of reach. */
final readonly class AnsweringRule
{
    private const OUTCOMES = ['nobody', 'busy', 'unreachable'];

    /**
     * @param string|null                $hours    null for any time
     * @param list<string>               $states   of the hours in which the rule holds
     * @param list<Status>               $statuses in which the rule holds; none means available
     * @param list<string>               $callers  beginnings of E.164 numbers, "withheld" or "internal"; none means everybody
     * @param list<RuleStage>            $stages
     * @param array<string, string|null> $then     a mailbox, person, team or journey by outcome; null to go on where the call came from
     */
    public function __construct(
        public string $id,
        public string $name,
        public bool $on,
        public ?string $hours,
        public array $states,
        public array $statuses,
        public Via $via,
        public array $callers,
        public array $stages,
        public array $then,
    ) {
    }

    /** @param list<string> $phones ids of the person's phones */
    public static function fromJson(Input $in, array $phones): self
    {
        $in->onlyFields(['id', 'name', 'on', 'when', 'stages', 'next']);
        $when = $in->field('when');
        $statuses = $callers = $states = $stages = $then = [];
        if ($when->isGiven()) {
            $when->onlyFields(['hours', 'states', 'statuses', 'via', 'callers']);
        }
        foreach ($when->field('states')->items() as $item) {
            $states[] = $item->text(64);
        }
        foreach ($when->field('statuses')->items() as $item) {
            /** @var Status $status */
            $status = $item->oneOf(Status::class, Status::Available);
            $statuses[] = $status;
        }
        foreach ($when->field('callers')->items() as $item) {
            $caller = $item->text(20);
            if (1 !== preg_match('/^(\+[0-9]{1,15}|withheld|internal)$/D', $caller)) {
                $item->complain(\sprintf('"%s" is not a caller.', $caller), 'Write the beginning of a number with its country code, such as +4420, or withheld, or internal.');
            }
            $callers[] = $caller;
        }
        $hours = $when->field('hours')->reference();
        if (null !== $hours && [] === $states) {
            $when->field('states')->complain('No state of these hours is chosen, so the rule can never hold.', 'Choose at least one state, or no hours.');
        }
        /** @var Via $via */
        $via = $when->field('via')->oneOf(Via::class, Via::Any);
        foreach ($in->field('stages')->items() as $item) {
            $stage = RuleStage::fromJson($item, $phones);
            if (null !== $stage) {
                $stages[] = $stage;
            }
        }
        $in->field('next')->isGiven() && $in->field('next')->onlyFields(self::OUTCOMES);
        foreach (self::OUTCOMES as $outcome) {
            $then[$outcome] = $in->field('next')->field($outcome)->reference();
        }

        return new self($in->field('id')->id(), $in->field('name')->text(60), $in->field('on')->flag(true), $hours, $states, $statuses, $via, $callers, $stages, $then);
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        $references = null === $this->hours ? [] : [new Reference($this->hours, $pointer.'/when/hours', [Kind::Hours], 'decides an answering rule')];
        foreach ($this->then as $outcome => $target) {
            if (null !== $target) {
                $references[] = new Reference($target, \sprintf('%s/next/%s', $pointer, $outcome), [Kind::Mailbox, Kind::Person, Kind::Team, Kind::Journey], 'passes calls on to it');
            }
        }

        return $references;
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'on' => $this->on,
            'when' => [
                'hours' => $this->hours, 'states' => $this->states,
                'statuses' => array_map(static fn (Status $status): string => $status->value, $this->statuses),
                'via' => $this->via->value, 'callers' => $this->callers,
            ],
            'stages' => array_map(static fn (RuleStage $stage): array => $stage->toJson(), $this->stages),
            'next' => $this->then,
        ];
    }
}
