<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Plan\Step\ForwardStep;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Happening\SentOn;

/** Whether a call gets through that is sent on to a number outside: it may be busy, or out of reach. */
final class NumberOutside implements Question
{
    use Usual;

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof SentOn);
        $number = $at->what->number;
        $isOpen =
            null !== $number &&
            ForwardStep::NOT_CARRIED !== $at->what->exit &&
            (!$at->acts->says($number) || $at->acts->mayDoElse($number, $at->since)) &&
            !isset($at->did()[$number]);

        return $isOpen ? 'outside ' . $number : null;
    }

    public function answers(Asking $at): array
    {
        \assert($at->what instanceof SentOn);
        $number = (string) $at->what->number;

        return [
            Acts::settling([$number]),
            ...array_map(
                static fn(Behaviour $one): Acts => Acts::ringing(
                    [$number => new PhoneAssumption($number, $one)],
                    $at->since,
                ),
                [Behaviour::Busy, Behaviour::Unreachable],
            ),
        ];
    }
}
