<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Element\Number;

/** Who mentions what, worked out from the elements themselves. */
final readonly class Mentions
{
    /** @param array<string, list<string>> $users by what is mentioned */
    private function __construct(private array $users) {}

    /** @param iterable<Element> $elements */
    public static function in(iterable $elements): self
    {
        $users = [];
        foreach ($elements as $element) {
            foreach (self::by($element) as $text) {
                $users[$text][] = $element->id();
            }
        }

        return new self($users);
    }

    /** @return list<string> what an element mentions: other elements by id, what is dialled to reach it, numbers that it calls, and how it is spelled on the keys */
    public static function by(Element $element): array
    {
        $mentioned = [
            ...array_values(Dialled::by($element)),
            ...array_values(Called::by($element)),
            ...Spelled::by($element),
            ...$element instanceof Number && $element->range->isMany() ? [Number::MANY] : [],
        ];
        foreach ($element->references() as $reference) {
            $mentioned[] = $reference->id;
        }

        return array_values(array_unique($mentioned));
    }

    /** @return array<string, list<string>> ids of the elements that mention it, by what is mentioned */
    public function all(): array
    {
        return $this->users;
    }

    /** @return list<string> ids of the elements that mention it */
    public function of(string $text): array
    {
        return $this->users[$text] ?? [];
    }
}
