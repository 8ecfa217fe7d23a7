<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\ElementSource;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Mark;
use Meandros\Core\Plan\Mentions;
use Meandros\Core\Plan\Plan;

/** The elements of an edition, one by one from shared memory; what is not there any more is read from its document. */
final class EditionSource implements ElementSource
{
    /** Seconds for which it is known that something is not there: most of what is asked for in vain is asked again. */
    private const IN_VAIN = 600;

    private ?Plan $plan = null;

    /**
     * @param string             $name        of the edition in shared memory: its number and checksum
     * @param \Closure(): Plan   $document    reads all of it
     * @param \Closure(): string $fingerprint
     */
    public function __construct(
        private readonly SharedMemory $memory,
        private readonly string $name,
        private readonly \Closure $document,
        private readonly \Closure $fingerprint,
    ) {}

    /** Shares what was read of an edition. */
    public static function share(SharedMemory $memory, string $name, Plan $plan): void
    {
        $byKind = [];
        foreach ($plan->elements() as $id => $element) {
            $byKind[$element->kind()->value][] = $id;
            $memory->keep($name . '.e.' . $id, $element);
        }
        foreach (Kind::cases() as $kind) {
            $memory->keep($name . '.k.' . $kind->value, $byKind[$kind->value] ?? []);
        }
        foreach (Mentions::in($plan->elements())->all() as $text => $ids) {
            $memory->keep($name . '.m.' . $text, $ids);
        }
        $memory->keep($name, $plan->name);
    }

    public function find(string $id): ?Element
    {
        /** @var Element|false|null $kept */
        $kept = $this->memory->get($this->name . '.e.' . $id);
        if (null === $kept) {
            $kept = $this->document()->find($id) ?? false;
            $this->memory->keep($this->name . '.e.' . $id, $kept, $kept ? SharedMemory::SECONDS : self::IN_VAIN);
        }

        return $kept ?: null;
    }

    public function kindOf(string $id): ?Kind
    {
        return $this->find($id)?->kind();
    }

    public function ids(?Kind $kind = null): array
    {
        /** @var list<string>|null $kept */
        $kept = null === $kind ? null : $this->memory->get($this->name . '.k.' . $kind->value);

        return $kept ??
            array_keys(
                array_filter(
                    $this->document()->elements(),
                    static fn(Element $element): bool => null === $kind || $element->kind() === $kind,
                ),
            );
    }

    public function names(Kind $kind): array
    {
        $name = $this->name . '.n.' . $kind->value;
        /** @var array<string, string>|null $kept */
        $kept = $this->memory->get($name);
        if (null === $kept) {
            $kept = $this->document()->names($kind);
            $this->memory->keep($name, $kept);
        }

        return $kept;
    }

    /** All that is mentioned is put by. */
    public function foresee(array $texts): void {}

    /** So is every element. */
    public function foreseeAll(): void {}

    public function mentioning(string $text): array
    {
        /** @var list<string>|null $kept */
        $kept = $this->memory->get($this->name . '.m.' . $text);
        if (null === $kept) {
            // Most of what is asked for in vain is asked for again.
            $kept = array_keys($this->document()->mentioning($text));
            $this->memory->keep($this->name . '.m.' . $text, $kept);
        }

        return $kept;
    }

    public function shelf(array $ids, string $more): SharedBlocks
    {
        return new SharedBlocks($this->memory, $this->name . '.b.' . hash('xxh128', implode("\n", [...$ids, $more])));
    }

    public function fingerprint(): string
    {
        return ($this->fingerprint)();
    }

    public function mark(): Mark
    {
        return new Mark($this->name, 0);
    }

    public function changedSince(Mark $mark): ?array
    {
        return $mark->of === $this->name ? [] : null;
    }

    private function document(): Plan
    {
        return $this->plan ??= ($this->document)();
    }
}
