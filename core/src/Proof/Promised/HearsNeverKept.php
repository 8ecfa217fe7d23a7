<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Expected\HearsNever;
use Meandros\Core\Plan\Expected\Promise;
use Meandros\Core\Proof\Course;
use Meandros\Core\Value\Lists;

/** @implements Keeping<HearsNever> */
final class HearsNeverKept implements Keeping
{
    public function isWhateverPhonesDo(): bool
    {
        return true;
    }

    public function isKept(Promise $promise, Course $course): bool
    {
        return !Lists::has(Noticed::prompts($course), $promise->prompt);
    }
}
