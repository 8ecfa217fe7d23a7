<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

/** The whole routing: an immutable set of elements by id. */
final readonly class Plan
{
    /** @param array<string, Element> $elements by id */
    private function __construct(public string $name, private array $elements)
    {
    }

    /** @param iterable<Element> $elements */
    public static function of(string $name, iterable $elements): self
    {
        $byId = [];
        foreach ($elements as $element) {
            $byId[$element->id()] = $element;
        }

        return new self($name, $byId);
    }

    public function find(?string $id): ?Element
    {
        return null === $id ? null : $this->elements[$id] ?? null;
    }

    /**
     * @template T of Element
     *
     * @param class-string<T> $class
     *
     * @return T|null null when nothing is chosen, or something else stands under that id
     */
    public function get(string $class, ?string $id): ?Element
    {
        $element = $this->find($id);

        return $element instanceof $class ? $element : null;
    }

    public function nameOf(?string $id): string
    {
        return $this->find($id)?->name() ?? 'nobody chosen yet';
    }

    /** @return array<string, Element> */
    public function elements(): array
    {
        return $this->elements;
    }

    /**
     * @template T of Element
     *
     * @param class-string<T> $class
     *
     * @return list<T>
     */
    public function all(string $class): array
    {
        return array_values(array_filter($this->elements, static fn (Element $element): bool => $element instanceof $class));
    }

    public function with(Element $element): self
    {
        return new self($this->name, [$element->id() => $element] + $this->elements);
    }

    public function without(string $id): self
    {
        $rest = $this->elements;
        unset($rest[$id]);

        return new self($this->name, $rest);
    }

    /** @return list<Place> every place that mentions the element */
    public function usesOf(string $id): array
    {
        $places = [];
        foreach ($this->elements as $element) {
            foreach ($element->references() as $reference) {
                if ($reference->id === $id) {
                    $places[] = new Place($element, $reference);
                }
            }
        }

        return $places;
    }
}
