<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

use Meandros\Server\Proof\HeldPromises;
use Meandros\Server\Storage\Plans;

/** The expectations of a plan, held where phones ring on and where they are busy, cannot be reached or refuse; however long it takes. */
final readonly class HoldPromises implements JobKind
{
    public const NAME = 'expectations';

    public function __construct(private Plans $plans, private HeldPromises $held) {}

    public function name(): string
    {
        return self::NAME;
    }

    public function run(array $input, Progress $progress): array
    {
        /** @var array{in: string} $input */
        return ['expectations' => $this->held->inFull($this->plans->get($input['in']), $progress->at(...))];
    }
}
