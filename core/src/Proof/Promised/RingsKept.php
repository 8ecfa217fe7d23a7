<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Expected\Promise;
use Meandros\Core\Plan\Expected\Rings;
use Meandros\Core\Proof\Course;

/** @implements Keeping<Rings> */
final class RingsKept implements Keeping
{
    public function isWhateverPhonesDo(): bool
    {
        return false;
    }

    public function isKept(Promise $promise, Course $course): bool
    {
        $second = Noticed::firstRing($course, $promise->who);

        return null !== $second && $second <= ($promise->within ?? $second);
    }
}
