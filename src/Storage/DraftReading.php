<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Plan\Plan;

/** The draft at one moment; its elements are fetched as they are wanted. */
final readonly class DraftReading
{
    /** @param string $live how what was in force beside it is called (Live) */
    public function __construct(
        public Plan $plan,
        public int $revision,
        public string $live,
        private DraftSource $source,
    ) {}

    /** Names this moment of the draft, among those of all databases. */
    public function tag(): string
    {
        return $this->source->name . '.' . $this->revision;
    }

    /** @return int|null the revision of an element; null where there is none */
    public function revisionOf(string $id): ?int
    {
        return $this->source->revisionOf($id);
    }

    /** @return array<string, int> of all elements, by id */
    public function revisions(): array
    {
        $revisions = [];
        foreach ($this->source->ids() as $id) {
            $revisions[$id] = (int) $this->source->revisionOf($id);
        }

        return $revisions;
    }
}
