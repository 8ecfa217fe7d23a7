<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

/** What a typed line means. */
final readonly class TypedStep
{
    /**
     * @param array<string, mixed>|null               $step    as in a plan, without its id, "new:0" in place of what is to be made; null where the line is not understood
     * @param list<array{kind: string, name: string}> $made    what is named and not there yet
     * @param string                                  $problem why it is not understood; empty where it is
     * @param int                                     $at      the character from which on it is not
     * @param list<string>                            $offers  lines that go on from here
     */
    public function __construct(
        public ?array $step,
        public array $made,
        public string $problem,
        public int $at,
        public array $offers,
    ) {}
}
