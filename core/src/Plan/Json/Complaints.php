<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Json;

use Meandros\Core\Plan\InvalidData;
use Meandros\Core\Plan\Limits;
use Meandros\Core\Plan\Problem;

/** Collects what is wrong while a document is read, so that all of it can be reported at once. */
final class Complaints
{
    /** @var list<Problem> */
    private array $problems = [];

    /** @throws TooManyProblems */
    public function add(string $pointer, string $message, string $remedy): void
    {
        $this->problems[] = new Problem($pointer, $message, $remedy);
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
