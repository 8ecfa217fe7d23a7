<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Reading\PlainLetters;

/**
 * Elements by their names as people write them: capitals and accents do not count, but between names that differ in nothing else.
 *
 * @template T of Element
 */
final class ByName
{
    /** @var array<string, list<T>> by plain letters */
    private array $elements = [];

    /** @param iterable<T> $elements */
    public function __construct(iterable $elements)
    {
        foreach ($elements as $element) {
            $this->add($element);
        }
    }

    /** @param T $element */
    public function add(Element $element): void
    {
        $this->elements[PlainLetters::of($element->name())][] = $element;
    }

    /** @return list<T> who or what may be meant */
    public function all(string $name): array
    {
        $alike = $this->elements[PlainLetters::of($name)] ?? [];
        $letter = mb_strtolower($name);
        $same = array_filter($alike, static fn(Element $one): bool => mb_strtolower($one->name()) === $letter);

        return [] === $same ? $alike : array_values($same);
    }

    /** @return T|null the first of them */
    public function first(string $name): ?Element
    {
        return $this->all($name)[0] ?? null;
    }
}
