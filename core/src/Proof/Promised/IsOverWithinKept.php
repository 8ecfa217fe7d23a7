<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Expected\IsOverWithin;
use Meandros\Core\Plan\Expected\Promise;
use Meandros\Core\Proof\Course;

/** @implements Keeping<IsOverWithin> */
final class IsOverWithinKept implements Keeping
{
    public function isWhateverPhonesDo(): bool
    {
        return true;
    }

    public function isKept(Promise $promise, Course $course): bool
    {
        return $course->trace->seconds <= $promise->seconds;
    }
}
