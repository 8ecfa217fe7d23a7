<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

/** How much another course means to callers, the worst first. */
enum Severity: string
{
    /** A number that is not in the plan any more. */
    case Gone = 'gone';
    /** Somebody could be reached, or a message be left, and nobody and nothing takes the call any more. */
    case Lost = 'nobody any more';
    case SomebodyElse = 'somebody else';
    /** Somebody can be reached who could not. */
    case Gained = 'somebody now';
    /** A number that was not in the plan. */
    case Come = 'new';
    /** The same people and places; other times, words or orders. */
    case Details = 'details';

    public static function of(Course $before, Course $after): self
    {
        return match (true) {
            ($before->reach->isSomebody() && !$after->reach->isSomebody()) ||
                (Reach::Nobody !== $before->reach && Reach::Nobody === $after->reach)
                => self::Lost,
            !$before->reach->isSomebody() && $after->reach->isSomebody() => self::Gained,
            $before->takes !== $after->takes || $before->reach !== $after->reach => self::SomebodyElse,
            default => self::Details,
        };
    }
}
