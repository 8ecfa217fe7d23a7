<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

final class StaleRevision extends \RuntimeException
{
    public function __construct(string $name, public readonly int $current)
    {
        parent::__construct(\sprintf('%s was changed meanwhile, in another window or by somebody else. Your change was not saved.', $name));
    }
}
