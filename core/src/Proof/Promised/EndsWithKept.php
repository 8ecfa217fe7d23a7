<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Expected\EndsWith;
use Meandros\Core\Plan\Expected\Promise;
use Meandros\Core\Proof\Course;

/** @implements Keeping<EndsWith> */
final class EndsWithKept implements Keeping
{
    public function isWhateverPhonesDo(): bool
    {
        return true;
    }

    public function isKept(Promise $promise, Course $course): bool
    {
        return \in_array(Noticed::outcome($course), $promise->outcomes, true);
    }
}
