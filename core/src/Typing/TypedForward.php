<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\ForwardStep;

/** Send the call on to a number outside. */
final class TypedForward implements TypedKind
{
    public function begins(): string
    {
        return 'forward(?: to)?';
    }

    public function example(): string
    {
        return 'forward …';
    }

    public function read(Line $line): ?array
    {
        $number = $line->number();
        if (null === $number) {
            return null;
        }
        $by = null === $line->take('by') ? null : $line->name([Kind::Line], ['showing', 'sending']);
        $shows = null === $line->take('showing') ? null : $line->name([Kind::Number], ['sending']);
        $digits = $line->take('sending ([0-9*#,]+)');

        return ['do' => 'forward', 'number' => $number, 'line' => $by, 'shows' => $shows, 'digits' => $digits[1] ?? ''];
    }

    public function write(Step $step, Plan $plan): ?string
    {
        if (!($step instanceof ForwardStep)) {
            return null;
        }
        $by = null === $step->line ? '' : ' by ' . $plan->find($step->line)?->name();
        $shows = null === $step->shows ? '' : ' showing ' . $plan->find($step->shows)?->name();

        return \sprintf(
            'forward %s%s%s%s',
            PhoneNumber::international((string) $step->number),
            $by,
            $shows,
            '' === $step->digits ? '' : ' sending ' . $step->digits,
        );
    }
}
