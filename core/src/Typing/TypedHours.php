<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\HoursStep;

/** Look at hours. */
final class TypedHours implements TypedKind
{
    public function begins(): string
    {
        return '(?:look at|hours)';
    }

    public function example(): string
    {
        return 'hours …';
    }

    public function read(Line $line): ?array
    {
        $id = $line->name([Kind::Hours]);

        return null === $id ? null : ['do' => 'hours', 'hours' => $id];
    }

    public function write(Step $step, Plan $plan): ?string
    {
        return $step instanceof HoursStep
            ? \sprintf('hours %s', $plan->get(Hours::class, $step->hours)?->name())
            : null;
    }
}
