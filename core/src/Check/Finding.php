<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;

/** Something in the plan that callers would not want. It may be saved; whether it may be published depends on how bad it is. */
final readonly class Finding
{
    /**
     * @param string                    $pointer   JSON Pointer within the element
     * @param string                    $code      what is found; its words, its remedy's and its fix's are in Wording
     * @param array<string, string|int> $arguments of those words
     * @param Fix|null                  $fix       what would mend it, where one thing would
     */
    private function __construct(
        public Element $element,
        public string $pointer,
        public string $code,
        public array $arguments,
        public bool $blocksPublishing,
        public ?Fix $fix,
    ) {}

    /** @param array<string, string|int> $arguments */
    public static function warning(
        Element $element,
        string $pointer,
        string $code,
        array $arguments = [],
        ?Fix $fix = null,
    ): self {
        return new self($element, $pointer, $code, $arguments, false, $fix);
    }

    /** @param array<string, string|int> $arguments */
    public static function blocking(
        Element $element,
        string $pointer,
        string $code,
        array $arguments = [],
        ?Fix $fix = null,
    ): self {
        return new self($element, $pointer, $code, $arguments, true, $fix);
    }
}
