<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Step\RingLength;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Which phones an answering rule rings, stage by stage. */
final readonly class RuleRinging
{
    /**
     * @param list<RuleStage> $stages
     * @param int             $againMinutes the caller is kept, and the stages begin anew, for up to so long; 0 to ring once
     */
    public function __construct(public array $stages, public int $againMinutes) {}

    /**
     * @param Input        $in     the rule
     * @param list<string> $phones ids of the person's phones
     */
    public static function fromJson(Input $in, array $phones): self
    {
        $stages = [];
        foreach ($in->field('stages')->items(Limits::STAGES) as $item) {
            $stage = RuleStage::fromJson($item, $phones);
            if (null !== $stage) {
                $stages[] = $stage;
            }
        }

        return new self($stages, $in->field('againMinutes')->whole(0, RingLength::MOST_MINUTES, 'minutes', 0));
    }

    /** Seconds after which the last stage is over. */
    public function seconds(): int
    {
        return max([0, ...array_map(static fn(RuleStage $stage): int => $stage->end(), $this->stages)]);
    }
}
