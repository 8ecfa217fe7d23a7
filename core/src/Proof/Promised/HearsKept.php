<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Expected\Hears;
use Meandros\Core\Plan\Expected\Promise;
use Meandros\Core\Proof\Course;
use Meandros\Core\Value\Lists;

/** @implements Keeping<Hears> */
final class HearsKept implements Keeping
{
    public function isWhateverPhonesDo(): bool
    {
        return false;
    }

    public function isKept(Promise $promise, Course $course): bool
    {
        return Lists::has(Noticed::prompts($course), $promise->prompt);
    }
}
