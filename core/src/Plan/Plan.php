<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Json\PlanCodec;

/**
 * The whole routing: a set of elements by id, which never changes.
 *
 * Elements may be given as they are stored. They are then read from their JSON when they are first wanted: a trace
 * and a check of one element touch a few out of thousands.
 */
final class Plan
{
    /** Worked out when it is first wanted. */
    private ?Mentions $ofChanged = null;
    /** @var array<string, list<string>> what the index was asked already */
    private array $indexed = [];
    /** @var array<string, InvalidData> stored elements that turned out not to be readable, by id */
    private array $unreadable = [];

    /**
     * @param array<string, Element|StoredElement> $elements by id
     * @param MentionIndex|null                    $index    worked out when it is first wanted, where none is kept
     * @param array<string, true>                  $changed  elements of which the index knows nothing, by id
     */
    private function __construct(public readonly string $name, private array $elements, private ?MentionIndex $index = null, private readonly array $changed = [])
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

    /** @param array<string, StoredElement> $elements by id, checked when they were stored */
    public static function stored(string $name, array $elements, MentionIndex $index): self
    {
        return new self($name, $elements, $index);
    }

    /** Null as well where an element is stored and cannot be read: the plan goes on without it. */
    public function find(?string $id): ?Element
    {
        $element = null === $id || isset($this->unreadable[$id]) ? null : $this->elements[$id] ?? null;
        if ($element instanceof StoredElement) {
            try {
                $element = $this->elements[$id] = PlanCodec::storedElement($element->json);
            } catch (InvalidData $invalid) {
                $this->unreadable[$id] = $invalid;
                $element = null;
            }
        }

        return $element;
    }

    public function kindOf(string $id): ?Kind
    {
        $element = $this->elements[$id] ?? null;

        return $element instanceof StoredElement ? $element->kind : $element?->kind();
    }

    /** @return array<string, InvalidData> elements that are stored and cannot be read, by id */
    public function unreadable(): array
    {
        $this->elements();

        return $this->unreadable;
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

    /** @return array<string, Element> */
    public function elements(): array
    {
        return $this->read(array_keys($this->elements));
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
        $wanted = [];
        foreach ($this->elements as $id => $element) {
            if ($element instanceof StoredElement ? is_a($element->kind->elementClass(), $class, true) : $element instanceof $class) {
                $wanted[] = $id;
            }
        }

        return array_values(array_filter($this->read($wanted), static fn (Element $element): bool => $element instanceof $class));
    }

    /**
     * @param string $text an element's id, something that can be dialled, or a number that is called
     *
     * @return array<string, Element> those that mention it
     */
    public function mentioning(string $text): array
    {
        $this->index ??= Mentions::in($this->elements());
        // Whoever looks for the next change asks for the same number again and again.
        $wanted = array_filter($this->indexed[$text] ??= $this->index->of($text), fn (string $id): bool => isset($this->elements[$id]) && !isset($this->changed[$id]));
        $this->ofChanged ??= Mentions::in($this->read(array_keys($this->changed)));

        return $this->read([...array_values($wanted), ...$this->ofChanged->of($text)]);
    }

    /** The element that is reached by what is dialled. */
    public function dialled(string $text): ?Element
    {
        foreach ($this->mentioning($text) as $element) {
            if (\in_array($text, Dialled::by($element), true)) {
                return $element;
            }
        }

        return null;
    }

    public function with(Element $element): self
    {
        return $this->withAll([$element->id() => $element]);
    }

    public function without(string $id): self
    {
        return $this->withAll([$id => null]);
    }

    /** @param array<string, Element|null> $elements by id; null for those that go */
    public function withAll(array $elements): self
    {
        $put = array_filter($elements);

        return new self($this->name, $put + array_diff_key($this->elements, $elements), $this->index, array_fill_keys(array_keys($put), true) + $this->changed);
    }

    /** @return list<Place> every place that mentions the element */
    public function usesOf(string $id): array
    {
        $places = [];
        foreach ($this->mentioning($id) as $element) {
            foreach ($element->references() as $reference) {
                if ($reference->id === $id) {
                    $places[] = new Place($element, $reference);
                }
            }
        }

        return $places;
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, Element>
     */
    private function read(array $ids): array
    {
        $elements = [];
        foreach ($ids as $id) {
            $element = $this->find($id);
            if (null !== $element) {
                $elements[$id] = $element;
            }
        }

        return $elements;
    }
}
