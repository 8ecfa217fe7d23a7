<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\RingStep;

/** Ring a person, a team or a number. */
final class TypedRing implements TypedKind
{
    public function begins(): string
    {
        return 'ring';
    }

    public function example(): string
    {
        return 'ring …';
    }

    public function read(Line $line): ?array
    {
        $target =
            $line->number() ??
            $line->name([Kind::Team, Kind::Person], ['(?:for )?\\d+ ?s(?:ec(?:onds)?)?', 'for good', 'again', 'greet']);
        if (null === $target) {
            return null;
        }
        $ring = ['do' => 'ring', 'target' => $target];
        if (null !== $line->take('for good')) {
            return $ring + ['handOver' => true];
        }
        $seconds = $line->seconds();
        $again = $line->take('again for (\\d{1,2}) ?min(?:utes)?');
        $greets = null === $line->take('greet with') ? null : $line->name([Kind::Prompt], ['after']);
        $after = null === $greets ? null : $line->take('after (\\d{1,3}) ?s');

        return $ring +
            (null === $seconds ? [] : ['seconds' => $seconds]) +
            (null === $again ? [] : ['againMinutes' => (int) $again[1]]) +
            (null === $greets ? [] : ['greeting' => $greets]) +
            (null === $after ? [] : ['greetAfter' => (int) $after[1]]);
    }

    public function write(Step $step, Plan $plan): ?string
    {
        if (!($step instanceof RingStep)) {
            return null;
        }
        $who =
            null === $step->target?->number
                ? $plan->find($step->target?->element)?->name()
                : PhoneNumber::international($step->target->number);
        if ($step->length->handOver) {
            return \sprintf('ring %s for good', $who);
        }
        $again = 0 === $step->length->againMinutes ? '' : \sprintf(', again for %d min', $step->length->againMinutes);
        $greets =
            null === $step->greeting->prompt
                ? ''
                : \sprintf(
                    ', greet with %s after %d s',
                    $plan->get(Prompt::class, $step->greeting->prompt)?->name(),
                    $step->greeting->after,
                );

        return \sprintf('ring %s %ds%s%s', $who, $step->length->seconds, $again, $greets);
    }
}
