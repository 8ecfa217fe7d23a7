<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\CallerStep;

/** Tell callers apart by lists. */
final class TypedCaller implements TypedKind
{
    public function begins(): string
    {
        return 'caller';
    }

    public function example(): string
    {
        return 'caller …';
    }

    public function read(Line $line): ?array
    {
        $exits = [];
        while (!$line->isOver() && null !== ($id = $line->name([Kind::CallerList]))) {
            $exits[] = ['on' => $id, 'label' => '', 'steps' => []];
        }
        if ([] === $exits) {
            $line->name([Kind::CallerList]);
        }

        return [] === $exits ? null : ['do' => 'caller', 'exits' => $exits];
    }

    public function write(Step $step, Plan $plan): ?string
    {
        if (!($step instanceof CallerStep)) {
            return null;
        }
        $lists = [];
        foreach ($step->exits()->items as $exit) {
            $lists[] = $plan->find($exit->on)?->name() ?? '';
        }

        return 'caller ' . implode(', ', $lists);
    }
}
