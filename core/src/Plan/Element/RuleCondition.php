<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\Status;
use Meandros\Core\Plan\Json\BandReader;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Lists;

/** When an answering rule holds: every condition must be met. */
final readonly class RuleCondition
{
    /**
     * @param string|null    $hours    null for any time
     * @param list<string>   $states   of the hours in which the rule holds
     * @param list<WeekBand> $windows  times of the person's own, on the clock of their site; none means any
     * @param list<Status>   $statuses in which the rule holds; none means available
     * @param list<string>   $callers  beginnings of E.164 numbers, "withheld" or "internal"; none means everybody
     */
    public function __construct(
        public ?string $hours = null,
        public array $states = [],
        public array $windows = [],
        public array $statuses = [],
        public Via $via = Via::Any,
        public array $callers = [],
    ) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['hours', 'states', 'windows', 'statuses', 'via', 'callers']);
        $statuses = $callers = $states = [];
        foreach ($in->field('states')->items(Limits::STATES) as $item) {
            $states[] = $state = $item->exactText(Limits::KEY);
            if (\count(array_keys($states, $state, true)) > 1) {
                $item->complain('state-twice');
            }
        }
        foreach ($in->field('statuses')->items(Limits::STATUSES) as $item) {
            /** @var Status $status */
            $status = $item->oneOf(Status::class, Status::Available);
            if (Lists::has($statuses, $status)) {
                $item->complain('status-twice');
            }
            $statuses[] = $status;
        }
        foreach ($in->field('callers')->items(Limits::CALLERS) as $item) {
            $caller = $item->exactText(20);
            if (1 !== preg_match('/^(\+[0-9]{1,15}|withheld|internal)$/D', $caller)) {
                $item->complain('not-a-caller', ['caller' => $caller]);
            }
            $callers[] = $caller;
        }
        $hours = $in->field('hours')->reference();
        if (null !== $hours && [] === $states) {
            $in->field('states')->complain('states-not-chosen');
        }
        if (null === $hours && [] !== $states) {
            $in->field('states')->complain('states-without-hours');
        }
        /** @var Via $via */
        $via = $in->field('via')->oneOf(Via::class, Via::Any);

        return new self($hours, $states, BandReader::windows($in->field('windows')), $statuses, $via, $callers);
    }

    /** @return non-empty-list<Status> */
    public function statusesMeant(): array
    {
        return [] === $this->statuses ? [Status::Available] : $this->statuses;
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        return null === $this->hours
            ? []
            : [new Reference($this->hours, $pointer . '/hours', [Kind::Hours], 'decides an answering rule')];
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'hours' => $this->hours,
            'states' => $this->states,
            'windows' => array_map(
                static fn(WeekBand $window): array => array_diff_key($window->toJson(), ['state' => '']),
                $this->windows,
            ),
            'statuses' => array_map(static fn(Status $status): string => $status->value, $this->statuses),
            'via' => $this->via->value,
            'callers' => $this->callers,
        ];
    }
}
