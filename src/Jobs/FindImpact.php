<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

use Meandros\Server\Proof\FoundImpact;

/** What another plan changes for callers, where phones ring on and where they are busy, cannot be reached or refuse; however long it takes. */
final readonly class FindImpact implements JobKind
{
    public const NAME = 'impact';

    public function __construct(private FoundImpact $impact) {}

    public function name(): string
    {
        return self::NAME;
    }

    public function run(array $input, Progress $progress): array
    {
        /** @var array{before: string, after: string} $input */
        return $this->impact->inFull($input['before'], $input['after'], $progress->at(...));
    }
}
