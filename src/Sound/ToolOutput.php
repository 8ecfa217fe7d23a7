<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

/** What a program wrote, and what it said beside. */
final readonly class ToolOutput
{
    public function __construct(public string $text, public string $said) {}
}
