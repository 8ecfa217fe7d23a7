<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

/** That a plan was published: by whom, when, and what was said of it. */
final readonly class Publication
{
    /** @param array<string, string> $despite why, although an expectation is broken, by the expectation's id; by an empty one, although not all was looked at */
    public function __construct(
        public string $who,
        public \DateTimeImmutable $at,
        public string $note,
        public array $despite,
    ) {}
}
