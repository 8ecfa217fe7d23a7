<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** How a call went out. */
final readonly class Carried
{
    /**
     * @param string|null $line  the outside line, by id; null where none was needed
     * @param string      $dials the digits that went out on it
     */
    public function __construct(public ?string $line = null, public string $dials = '') {}
}
