<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\ParkStep;

/** Park the call. */
final class TypedPark implements TypedKind
{
    public function begins(): string
    {
        return 'park(?: at)?';
    }

    public function example(): string
    {
        return 'park …';
    }

    public function read(Line $line): ?array
    {
        $site = $line->name([Kind::Site], ['place', '(?:for )?\\d+ ?s(?:ec(?:onds)?)?', 'hearing']);
        if (null === $site) {
            return null;
        }
        $place = $line->take('place (\\d{2,6})');
        $seconds = $line->seconds();
        $prompt = null === $line->take('hearing') ? null : $line->name([Kind::Prompt]);

        return ['do' => 'park', 'site' => $site, 'place' => $place[1] ?? '', 'prompt' => $prompt] +
            (null === $seconds ? [] : ['seconds' => $seconds]);
    }

    public function write(Step $step, Plan $plan): ?string
    {
        if (!($step instanceof ParkStep)) {
            return null;
        }

        return \sprintf(
            'park %s%s %ds%s',
            $plan->find($step->site)?->name(),
            '' === $step->place ? '' : ' place ' . $step->place,
            $step->seconds,
            null === $step->prompt ? '' : ' hearing ' . $plan->find($step->prompt)?->name(),
        );
    }
}
