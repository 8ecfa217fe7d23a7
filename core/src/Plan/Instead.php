<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

/** What is to be mentioned in the place of an element. */
final readonly class Instead
{
    /**
     * @param string                $id    of the other
     * @param array<string, string> $parts new name by old, of parts that the other element has too: what is said of more than
     *                                     these is said of the other itself, or left out where a part stands by itself
     */
    public function __construct(public string $id, public array $parts) {}

    /**
     * An element of which nothing is taken over: parts are those that go by the same name.
     *
     * @param Parts|null $of    the parts of what was mentioned
     * @param Parts|null $other and of the other
     */
    public static function asItIs(string $id, ?Parts $of, ?Parts $other): self
    {
        $same = array_intersect($of->ids ?? [], $other->ids ?? []);

        return new self($id, array_combine($same, $same));
    }
}
