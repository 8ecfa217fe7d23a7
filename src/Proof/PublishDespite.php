<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Plan;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\Plans;

/** Expectations that a plan breaks, and why it may be published all the same. */
final readonly class PublishDespite
{
    /** Seconds after which no further number is looked at. */
    private const WAITED = 8.0;

    public function __construct(private HeldPromises $held, private Editions $editions, private Plans $plans) {}

    /**
     * A reason that was given for what is live stands for as long as nothing else is promised.
     *
     * @param string $reason for whatever was not broken before; empty for none
     *
     * @return array<string, string> reasons by expectation; by nothing that for what was not looked at
     *
     * @throws BrokenPromises where one has none
     * @throws PromisesLeft   where there was no time to look at all of them, and no reason is given: the next time it goes on
     */
    public function reasons(Plan $plan, string $reason): array
    {
        $live = $this->editions->live();
        $known = null === $live ? [] : $this->editions->get($live)->despite;
        $before = null === $live ? null : $this->plans->get('live');
        $reasons = $without = [];
        $left = 0;
        $expectations = $plan->all(Expectation::class);
        foreach ($this->held->all($plan, self::WAITED) as $i => $report) {
            $left = max($left, $report['left']);
            if ('broken' !== $report['state']) {
                continue;
            }
            $expectation = $expectations[$i];
            $id = $expectation->id();
            $isAsBefore =
                $before?->get(Expectation::class, $id)?->toJson() === $expectation->toJson() && isset($known[$id]);
            $given = $isAsBefore ? $known[$id] : $reason;
            '' === $given ? ($without[] = $expectation) : ($reasons[$id] = $given);
        }
        if ([] !== $without) {
            throw new BrokenPromises($without);
        }
        if ($left > 0) {
            $reasons[''] = '' === $reason ? throw new PromisesLeft($left) : $reason;
        }

        return $reasons;
    }
}
