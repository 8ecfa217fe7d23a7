<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

/** Hands a job to the worker. */
final readonly class RunJob
{
    public function __construct(public int $job) {}
}
