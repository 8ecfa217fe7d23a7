<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;

/** How steps of one kind are typed. */
interface TypedKind
{
    /** The words with which such a line begins, as a regular expression. */
    public function begins(): string;

    /** A line to begin with, for whoever asks what may be typed. */
    public function example(): string;

    /** @return array<string, mixed>|null the step as in a plan, without its id; null where something is missing */
    public function read(Line $line): ?array;

    /** @return string|null the line that gives the step; null where it is none of this kind */
    public function write(Step $step, Plan $plan): ?string;
}
