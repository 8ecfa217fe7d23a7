<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Whose a phone is. */
final readonly class Owner
{
    /**
     * @param string|null $person        null for a number that belongs to nobody in the plan
     * @param string|null $site          theirs, or that from which the call leaves
     * @param bool        $refusesForAll whether refusing on one phone silences all of theirs
     */
    public function __construct(
        public ?string $person = null,
        public ?string $site = null,
        public bool $refusesForAll = false,
    ) {}
}
