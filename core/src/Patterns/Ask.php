<?php

declare(strict_types=1);

namespace Meandros\Core\Patterns;

use Meandros\Core\Plan\Kind;

/** Something that a pattern needs to know before it is a journey. */
final readonly class Ask
{
    /**
     * @param list<Kind> $kinds      of what may be chosen
     * @param bool       $isOptional whether it may be left open
     */
    public function __construct(public string $key, public array $kinds, public bool $isOptional = false) {}
}
