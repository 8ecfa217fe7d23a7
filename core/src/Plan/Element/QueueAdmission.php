<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Whom a queue lets in. Whoever is not let in goes on at once. */
final readonly class QueueAdmission
{
    /**
     * @param bool     $needsAgent          whether only while somebody is signed in
     * @param int|null $mostWaiting         callers who may wait at once; null for any number
     * @param int|null $mostExpectedSeconds the longest expected wait; null for any
     * @param int      $handlingSeconds     that a call takes on average: the expected wait is worked out from it
     */
    public function __construct(
        public bool $needsAgent = true,
        public ?int $mostWaiting = null,
        public ?int $mostExpectedSeconds = null,
        public int $handlingSeconds = 180,
    ) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['needsAgent', 'mostWaiting', 'mostExpectedSeconds', 'handlingSeconds']);
        $usual = new self();

        return new self(
            $in->field('needsAgent')->flag($usual->needsAgent),
            $in->field('mostWaiting')->optionalWhole(1, Limits::WAITING, 'callers'),
            $in->field('mostExpectedSeconds')->optionalWhole(1, QueueWaiting::MOST_SECONDS, 'seconds'),
            $in->field('handlingSeconds')->whole(1, 7200, 'seconds', $usual->handlingSeconds),
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'needsAgent' => $this->needsAgent,
            'mostWaiting' => $this->mostWaiting,
            'mostExpectedSeconds' => $this->mostExpectedSeconds,
            'handlingSeconds' => $this->handlingSeconds,
        ];
    }
}
