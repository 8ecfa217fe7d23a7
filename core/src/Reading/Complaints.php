<?php

declare(strict_types=1);

namespace Meandros\Core\Reading;

/** Collects what is wrong while a document is read, so that all of it can be reported at once. */
final class Complaints
{
    /** @var list<Problem> */
    private array $problems = [];

    /** @param bool $isTrusted whether the document was read and checked before: what is costly is not checked again */
    public function __construct(public readonly bool $isTrusted) {}

    /** @throws TooManyProblems */
    public function add(Problem $problem): void
    {
        $this->problems[] = $problem;
        if (\count($this->problems) >= Limits::PROBLEMS) {
            throw new TooManyProblems();
        }
    }

    /** @throws InvalidData */
    public function throwIfAny(): void
    {
        if ([] !== $this->problems) {
            throw new InvalidData($this->problems);
        }
    }
}
