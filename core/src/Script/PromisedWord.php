<?php

declare(strict_types=1);

namespace Meandros\Core\Script;

/** A word that a menu's script tells callers to say. */
final readonly class PromisedWord
{
    /** @param string|null $key that is named beside it; null where none is */
    public function __construct(public string $word, public ?string $key) {}
}
