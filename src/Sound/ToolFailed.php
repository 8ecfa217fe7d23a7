<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

final class ToolFailed extends \RuntimeException
{
    public function __construct(public readonly string $tool, public readonly string $said)
    {
        parent::__construct($tool . ': ' . $said);
    }
}
