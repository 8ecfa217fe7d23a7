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
    /** @param T $promise */
    public function isKept(Promise $promise, Course $course): bool;
}
