<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Json\PlanCodec;

/** Elements that are all there, as those of a file. */
final class GivenElements implements ElementSource
{
    /** Worked out when it is first wanted. */
    private ?Mentions $mentions = null;
    /** @var array<string, list<string>>|null ids by kind; as the mentions */
    private ?array $ids = null;

    /** @param array<string, Element> $elements by id */
    public function __construct(private readonly array $elements) {}

    public function find(string $id): ?Element
    {
        return $this->elements[$id] ?? null;
    }

    public function kindOf(string $id): ?Kind
    {
        return ($this->elements[$id] ?? null)?->kind();
    }

    public function ids(?Kind $kind = null): array
    {
        if (null === $kind) {
            return array_keys($this->elements);
        }
        if (null === $this->ids) {
            $this->ids = [];
            foreach ($this->elements as $id => $element) {
                $this->ids[$element->kind()->value][] = $id;
            }
        }

        return $this->ids[$kind->value] ?? [];
    }

    public function names(Kind $kind): array
    {
        $names = [];
        foreach ($this->ids($kind) as $id) {
            $names[$id] = $this->elements[$id]->name();
        }

        return $names;
    }

    public function foresee(array $texts): void {}

    public function foreseeAll(): void {}

    public function mentioning(string $text): array
    {
        $this->mentions ??= Mentions::in($this->elements);

        return $this->mentions->of($text);
    }

    public function shelf(array $ids, string $more): null
    {
        return null;
    }

    public function fingerprint(): string
    {
        $elements = $this->elements;
        ksort($elements);

        return hash('xxh128', implode("\n", array_map(PlanCodec::encodeElement(...), $elements)));
    }

    public function mark(): null
    {
        return null;
    }

    public function changedSince(Mark $mark): null
    {
        return null;
    }
}
