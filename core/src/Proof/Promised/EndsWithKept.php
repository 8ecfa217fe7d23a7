<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Expected\EndsWith;
use Meandros\Core\Plan\Expected\Promise;
use Meandros\Core\Proof\Course;
use Meandros\Core\Value\Lists;

/** @implements Keeping<EndsWith> */
final class EndsWithKept implements Keeping
{
    public function isWhateverPhonesDo(): bool
    {
        return true;
    }

    public function isKept(Promise $promise, Course $course): bool
    {
        return Lists::has($promise->outcomes, Noticed::outcome($course));
    }
}
