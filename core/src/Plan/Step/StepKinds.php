<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Reads steps of whatever kind. */
final class StepKinds
{
    public static function read(Input $in): ?Step
    {
        $do = $in->field('do')->exactText(20);
        $class = Step::KINDS[$do] ?? null;
        if (null === $class) {
            $in->field('do')->complain('not-a-step', [
                'step' => Input::quote($do),
                'choices' => array_keys(Step::KINDS),
            ]);

            return null;
        }

        return $class::fromJson($in);
    }
}
