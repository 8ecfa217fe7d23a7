<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

use Meandros\Core\Reading\InvalidData;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Long work of one kind. It may be begun again after the worker died: it writes all at once, at its end. */
#[AutoconfigureTag]
interface JobKind
{
    public function name(): string;

    /**
     * @param array<string, mixed> $input as it was given when the job was made
     *
     * @return array<string, mixed> what came of it
     *
     * @throws InvalidData  when it cannot be done, and why
     * @throws JobCancelled
     */
    public function run(array $input, Progress $progress): array;
}
