<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\DirectoryStep;

/** What may be spelled at the directories of one plan: found out once for each. */
final class Directories
{
    /** @var \WeakMap<DirectoryStep, SpelledNames> */
    private \WeakMap $known;

    public function __construct(private readonly Reachable $reachable)
    {
        $this->known = new \WeakMap();
    }

    public function of(Plan $plan, DirectoryStep $step): SpelledNames
    {
        return $this->known[$step] ??= new SpelledNames($plan, $step, $this->reachable);
    }
}
