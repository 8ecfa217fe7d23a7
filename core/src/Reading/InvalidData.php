<?php

declare(strict_types=1);

namespace Meandros\Core\Reading;

/** Given data was refused; every problem found is listed, not only the first. */
final class InvalidData extends \InvalidArgumentException
{
    /** @param non-empty-list<Problem> $problems */
    public function __construct(public readonly array $problems)
    {
        parent::__construct(
            implode("\n", array_map(static fn(Problem $problem): string => $problem->summary(), $problems)),
        );
    }

    /** @param array<string, string|int|list<string>|Problem> $arguments */
    public static function at(string $pointer, string $code, array $arguments = []): self
    {
        return new self([new Problem($pointer, $code, $arguments)]);
    }

    /** The same of data that is part of other data, at this pointer. */
    public function under(string $pointer): self
    {
        return new self(array_map(static fn(Problem $problem): Problem => $problem->under($pointer), $this->problems));
    }
}
