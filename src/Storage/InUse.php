<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Plan\Place;

final class InUse extends \RuntimeException
{
    /** @param non-empty-list<Place> $places */
    public function __construct(string $name, public readonly array $places)
    {
        parent::__construct(
            \sprintf('%s is in use, in %d %s.', $name, \count($places), 1 === \count($places) ? 'place' : 'places'),
        );
    }
}
