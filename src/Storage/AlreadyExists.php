<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

final class AlreadyExists extends \RuntimeException
{
    public function __construct(string $id)
    {
        parent::__construct(\sprintf('There is an element "%s" already.', $id));
    }
}
