<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** A person forced hours into a state. Not part of a plan: it takes effect at once. */
final readonly class Override
{
    /**
     * @param int      $from  first instant, Unix seconds
     * @param int|null $until first instant after it; null until somebody lifts it
     */
    public function __construct(
        public string $id,
        public string $hours,
        public string $state,
        public int $from,
        public ?int $until,
        public ForcedBy $by,
    ) {}

    public function holdsAt(int $instant): bool
    {
        return $instant >= $this->from && (null === $this->until || $instant < $this->until);
    }
}
