<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\ElementSource;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Mark;
use Meandros\Core\Plan\Mentions;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Time\BlockShelf;

/** Elements as an application keeps them: their JSON, read when one is wanted, and an index of mentions. */
final readonly class KeptElements implements ElementSource
{
    /** @param array<string, array{Kind, string}> $kept kind and JSON by id */
    private function __construct(
        private array $kept,
        private Mentions $mentions,
        private KeptBlocks $blocks = new KeptBlocks(),
    ) {}

    /** @param array<string, array{Kind, string}> $more */
    public static function of(Plan $plan, array $more = []): self
    {
        return new self(
            array_map(
                static fn(Element $element): array => [$element->kind(), PlanCodec::encodeElement($element)],
                $plan->elements(),
            ) + $more,
            Mentions::in($plan->elements()),
        );
    }

    public function find(string $id): ?Element
    {
        return isset($this->kept[$id]) ? PlanCodec::storedElement($this->kept[$id][1]) : null;
    }

    public function kindOf(string $id): ?Kind
    {
        return $this->kept[$id][0] ?? null;
    }

    public function ids(?Kind $kind = null): array
    {
        return array_keys(
            array_filter($this->kept, static fn(array $one): bool => null === $kind || $one[0] === $kind),
        );
    }

    public function names(Kind $kind): array
    {
        $names = [];
        foreach ($this->ids($kind) as $id) {
            $names[$id] = $this->find($id)?->name() ?? '';
        }

        return $names;
    }

    public function foresee(array $texts): void {}

    public function foreseeAll(): void {}

    public function mentioning(string $text): array
    {
        return $this->mentions->of($text);
    }

    public function shelf(array $ids, string $more): BlockShelf
    {
        return $this->blocks->for(serialize([$ids, $more]));
    }

    public function fingerprint(): string
    {
        return hash('xxh128', serialize($this->kept));
    }

    public function mark(): Mark
    {
        return new Mark('kept', 0);
    }

    public function changedSince(Mark $mark): array
    {
        return array_map(strval(...), array_keys($this->kept));
    }
}
