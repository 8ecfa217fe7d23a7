<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** What was dialled, as those who answer know it. */
final readonly class EntryPoint
{
    /**
     * @param string      $element  the number, person or hours, by id
     * @param string      $language spoken there first
     * @param string|null $site     of the number; null where it has none
     * @param string|null $number   that was dialled, E.164; null where it is none
     */
    public function __construct(
        public string $element,
        public string $label,
        public string $language,
        public ?string $site,
        public ?string $number = null,
    ) {}
}
