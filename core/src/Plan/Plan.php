<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Settings;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\BlockShelf;
use Meandros\Core\Value\Lists;

/**
 * The whole routing: a set of elements by id, which never changes. They are fetched from their source when they are first
 * wanted: a trace and a check of one element touch a few out of thousands.
 */
final class Plan
{
    /** @var array<string, Element|null> what was fetched already, by id */
    private array $fetched = [];
    /** @var array<string, InvalidData> elements that are kept and turned out not to be readable, by id */
    private array $unreadable = [];
    /** @var array<string, list<string>> what the source was asked already: whoever looks for the next change asks again and again */
    private array $mentioning = [];
    /** Of the changed elements; worked out when it is first wanted. */
    private ?Mentions $ofChanged = null;

    /** @param array<string, Element|null> $changed elements in place of the source's, by id; null for those that are gone */
    private function __construct(
        public readonly string $name,
        private readonly ElementSource $source,
        private readonly array $changed = [],
    ) {}

    /** @param iterable<Element> $elements */
    public static function of(string $name, iterable $elements): self
    {
        $byId = [];
        foreach ($elements as $element) {
            $byId[$element->id()] = $element;
        }

        return new self($name, new GivenElements($byId));
    }

    public static function from(string $name, ElementSource $source): self
    {
        return new self($name, $source);
    }

    /** Null as well where an element is kept and cannot be read: the plan goes on without it. */
    public function find(?string $id): ?Element
    {
        if (null === $id || isset($this->fetched[$id])) {
            return null === $id ? null : $this->fetched[$id];
        }
        if (!\array_key_exists($id, $this->fetched)) {
            try {
                $this->fetched[$id] = Input::isId($id) ? $this->source->find($id) : null;
            } catch (InvalidData $invalid) {
                $this->unreadable[$id] = $invalid;
                $this->fetched[$id] = null;
            }
        }

        return $this->fetched[$id];
    }

    public function kindOf(string $id): ?Kind
    {
        if (\array_key_exists($id, $this->changed)) {
            return $this->changed[$id]?->kind();
        }

        return ($this->fetched[$id] ?? null)?->kind() ?? (Input::isId($id) ? $this->source->kindOf($id) : null);
    }

    /** @return array<string, InvalidData> elements that are kept and cannot be read, by id */
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

    /**
     * What the elements of a kind are called, without reading them.
     *
     * @return array<string, string> by id
     */
    public function names(Kind $kind): array
    {
        $changed = array_filter($this->changed, static fn(?Element $one): bool => $one?->kind() === $kind);

        return [
            ...array_map(static fn(Element $one): string => $one->name(), $changed),
            ...array_diff_key($this->source->names($kind), $this->changed),
        ];
    }

    /** @param list<string> $texts of which it will be asked who mentions them */
    public function foresee(array $texts): void
    {
        $this->source->foresee(
            array_values(array_filter($texts, fn(string $text): bool => !isset($this->mentioning[$text]))),
        );
    }

    /** Most of it will be asked for. */
    public function foreseeAll(): void
    {
        $this->source->foreseeAll();
    }

    /** What people call it; the id itself where nothing has it. */
    public function nameOf(string $id): string
    {
        return $this->find($id)?->name() ?? $id;
    }

    /** The zone of a site; UTC where there is none. */
    public function zoneOf(?string $site): string
    {
        return $this->get(Site::class, $site)->place->zone ?? 'UTC';
    }

    /** By whose clock something goes. */
    public function siteOf(?Element $element): ?Site
    {
        return $element instanceof AtSite ? $this->get(Site::class, $element->site()) : null;
    }

    /** @return array<string, Element> */
    public function elements(): array
    {
        return $this->ofKind(null);
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
        $all = [];
        foreach (Kind::cases() as $kind) {
            if (is_a($kind->elementClass(), $class, true)) {
                array_push($all, ...array_values($this->ofKind($kind)));
            }
        }

        return array_values(array_filter($all, static fn(Element $element): bool => $element instanceof $class));
    }

    /** Plans that have the same one are called the same and say the same, in whatever order. */
    public function fingerprint(): string
    {
        $changed = $this->changed;
        ksort($changed);

        return hash(
            'xxh128',
            serialize([
                $this->name,
                $this->source->fingerprint(),
                array_map(
                    static fn(?Element $one): ?string => null === $one ? null : PlanCodec::encodeElement($one),
                    $changed,
                ),
            ]),
        );
    }

    /** @return Mark|null what its elements are now; null where nothing can be told of them later */
    public function mark(): ?Mark
    {
        return [] === $this->changed ? $this->source->mark() : null;
    }

    /** @return list<string>|null ids of the elements that were written since, but not of those that are gone; null where that is not known */
    public function changedSince(Mark $mark): ?array
    {
        return [] === $this->changed ? $this->source->changedSince($mark) : null;
    }

    /** What holds for all of it. */
    public function settings(): Settings
    {
        return $this->all(Settings::class)[0] ?? new Settings();
    }

    /**
     * @param string    $text an element's id, something that can be dialled, or a number that is called
     * @param Kind|null $kind only of this kind; others are not even fetched
     *
     * @return array<string, Element> those that mention it
     */
    public function mentioning(string $text, ?Kind $kind = null): array
    {
        $this->ofChanged ??= Mentions::in(array_filter($this->changed));
        $ids = array_filter(
            $this->mentioning[$text] ??= $this->source->mentioning($text),
            fn(string $id): bool => !\array_key_exists($id, $this->changed),
        );

        return $this->fetch(
            array_filter(
                [...$ids, ...$this->ofChanged->of($text)],
                fn(string $id): bool => null === $kind || $this->kindOf($id) === $kind,
            ),
        );
    }

    /** Whether an element of that kind mentions it. */
    public function isMentioned(string $text, Kind $kind): bool
    {
        $this->ofChanged ??= Mentions::in(array_filter($this->changed));
        foreach (
            [...$this->ofChanged->of($text), ...($this->mentioning[$text] ??= $this->source->mentioning($text))]
            as $id
        ) {
            if ($this->kindOf($id) === $kind) {
                return true;
            }
        }

        return false;
    }

    /** The element that is reached by what is dialled. */
    public function dialled(string $text): ?Element
    {
        foreach ($this->mentioning($text) as $element) {
            if (Lists::has(Dialled::by($element), $text)) {
                return $element;
            }
        }

        return str_starts_with($text, '+') ? $this->mostParticular($text) : null;
    }

    /** The block or the beginning that takes a number which nothing else has; the most particular one. */
    private function mostParticular(string $number): ?Number
    {
        $found = null;
        foreach ($this->mentioning(Number::MANY) as $many) {
            if (
                $many instanceof Number &&
                $many->range->takes($number) &&
                $many->range->breadth() < ($found?->range->breadth() ?? \PHP_INT_MAX)
            ) {
                $found = $many;
            }
        }

        return $found;
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
        $plan = new self($this->name, $this->source, $elements + $this->changed);
        [$plan->fetched, $plan->unreadable, $plan->mentioning] = [
            $elements + $this->fetched,
            array_diff_key($this->unreadable, $elements),
            $this->mentioning,
        ];

        return $plan;
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
     * @param list<string> $ids  of the elements from which hours are made
     * @param string       $more whatever else they depend on
     */
    public function shelf(array $ids, string $more): ?BlockShelf
    {
        return [] === array_intersect_key(array_flip($ids), $this->changed) ? $this->source->shelf($ids, $more) : null;
    }

    /** How many elements it has, without reading any. */
    public function size(): int
    {
        return \count($this->idsOf(null));
    }

    /** @return array<string, Element> */
    private function ofKind(?Kind $kind): array
    {
        return $this->fetch($this->idsOf($kind));
    }

    /** @return list<string> */
    private function idsOf(?Kind $kind): array
    {
        $changed = array_filter(
            $this->changed,
            static fn(?Element $element): bool => null !== $element && (null === $kind || $element->kind() === $kind),
        );

        return [
            ...array_keys($changed),
            ...array_filter($this->source->ids($kind), fn(string $id): bool => !\array_key_exists($id, $this->changed)),
        ];
    }

    /**
     * @param iterable<string> $ids
     *
     * @return array<string, Element>
     */
    private function fetch(iterable $ids): array
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
