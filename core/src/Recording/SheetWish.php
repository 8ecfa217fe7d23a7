<?php

declare(strict_types=1);

namespace Meandros\Core\Recording;

/** Which scripts a recording sheet is to hold. */
final readonly class SheetWish
{
    /**
     * @param bool        $onlyMissing those that have no fitting take
     * @param string|null $language    null for all
     * @param string|null $voice       null for all; empty for those that nobody is to read yet
     * @param string|null $journey     only what is heard behind it, by id; null for all
     */
    public function __construct(
        public bool $onlyMissing = true,
        public ?string $language = null,
        public ?string $voice = null,
        public ?string $journey = null,
    ) {}
}
