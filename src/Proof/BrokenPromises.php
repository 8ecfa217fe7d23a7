<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

use Meandros\Core\Plan\Element\Expectation;

/** A plan would be published that breaks what is expected of it. */
final class BrokenPromises extends \RuntimeException
{
    /** @param non-empty-list<Expectation> $expectations */
    public function __construct(public readonly array $expectations)
    {
        parent::__construct(
            \sprintf(
                '%s not kept: %s. Mend it, or say why it is published all the same.',
                1 === \count($expectations) ? 'An expectation is' : \count($expectations) . ' expectations are',
                implode('; ', array_map(static fn(Expectation $one): string => $one->name(), $expectations)),
            ),
        );
    }
}
