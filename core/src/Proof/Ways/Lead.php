<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Plan\Step;

/** A key by which calls leave the step: whenever it is pressed, they go on alike, and as soon. */
final readonly class Lead
{
    /**
     * @param Step   $step   at which it is pressed
     * @param string $to     equal for keys that lead to the same
     * @param int    $second since the step began, in which it is taken
     */
    public function __construct(public Acts $acts, public Step $step, public string $to, public int $second) {}
}
