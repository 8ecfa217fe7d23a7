<?php

declare(strict_types=1);

namespace Meandros\Core\Script;

/** How keys are told in a language. */
final readonly class KeyWords
{
    /**
     * @param string                    $press    verbs by which a key is named
     * @param string                    $between  what may stand between the verb and the key
     * @param array<int|string, string> $keys     by their words, the digits not among them
     * @param string                    $sentence for writing, with {label} and {key}
     * @param array<int|string, string> $names    of keys, for writing
     */
    public function __construct(
        public string $press,
        public string $between,
        public array $keys,
        public string $sentence,
        public array $names,
    ) {}
}
