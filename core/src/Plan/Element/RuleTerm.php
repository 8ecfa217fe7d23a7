<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\LocalEnd;
use Meandros\Core\Reading\Input;

/** While an answering rule is in force: switched on, until its end, where its conditions are met. */
final readonly class RuleTerm
{
    /** @param string|null $until local date and time at the person's site from which on it does not hold any more */
    public function __construct(public bool $on, public ?string $until, public RuleCondition $when) {}

    /** @param Input $in the rule */
    public static function fromJson(Input $in): self
    {
        return new self(
            $in->field('on')->flag(true),
            LocalEnd::read($in->field('until')),
            RuleCondition::fromJson($in->field('when')),
        );
    }
}
