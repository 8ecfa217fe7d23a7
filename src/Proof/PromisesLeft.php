<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

/** A plan would be published of which it is not known yet whether it keeps what is expected of it. */
final class PromisesLeft extends \RuntimeException
{
    /** @param positive-int $numbers that were not looked at */
    public function __construct(public readonly int $numbers)
    {
        parent::__construct(
            \sprintf(
                'What is expected was not looked at yet at %s. Publish again to go on, or say why it is published all the same.',
                1 === $numbers ? 'one number' : "$numbers numbers",
            ),
        );
    }
}
