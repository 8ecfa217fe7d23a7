<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Expected\Promise;
use Meandros\Core\Proof\Course;

/**
 * Whether a call that takes a course keeps a promise of one kind.
 *
 * @template T of Promise
 */
interface Keeping
{
    /** Whether it must be kept whatever phones do: where all of them are busy, out of reach, or refuse. */
    public function isWhateverPhonesDo(): bool;

    /** @param T $promise */
    public function isKept(Promise $promise, Course $course): bool;
}
