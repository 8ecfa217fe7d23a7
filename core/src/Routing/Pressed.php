<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Script\Understood;

/** What a caller did when a menu asked, and what it was taken for. */
final readonly class Pressed
{
    /**
     * @param string|null     $key   that counted, or the digits that were dialled
     * @param bool            $known whether it leads anywhere
     * @param int|null        $at    seconds since the prompt began at which it was pressed or said; null where nothing counted
     * @param int             $more  seconds in which more digits came, or could have
     * @param Understood|null $said  what was said instead
     */
    public function __construct(
        public ?string $key = null,
        public bool $known = false,
        public ?int $at = null,
        public int $more = 0,
        public ?Understood $said = null,
    ) {}

    /** Whether nothing counted. */
    public function isNothing(): bool
    {
        return null === $this->key && null === $this->said;
    }
}
