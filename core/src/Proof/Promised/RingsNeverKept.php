<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Expected\Promise;
use Meandros\Core\Plan\Expected\RingsNever;
use Meandros\Core\Proof\Course;

/** @implements Keeping<RingsNever> */
final class RingsNeverKept implements Keeping
{
    public function isWhateverPhonesDo(): bool
    {
        return true;
    }

    public function isKept(Promise $promise, Course $course): bool
    {
        return null === Noticed::firstRing($course, $promise->who);
    }
}
