<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;

/** What would mend a finding with one click: a change to an element, as operations of JSON Patch (RFC 6902). */
final readonly class Fix
{
    /**
     * @param string                                                                        $element   its id
     * @param non-empty-list<array{op: string, path: string, from?: string, value?: mixed}> $patch
     * @param array<string, string|int>                                                     $arguments of its label, beside the finding's own
     */
    private function __construct(public string $element, public array $patch, public array $arguments) {}

    /** @param array<string, string|int> $arguments */
    public static function replace(Element $element, string $path, mixed $value, array $arguments = []): self
    {
        return new self($element->id(), [['op' => 'replace', 'path' => $path, 'value' => $value]], $arguments);
    }

    /** @param array<string, string|int> $arguments */
    public static function add(Element $element, string $path, mixed $value, array $arguments = []): self
    {
        return new self($element->id(), [['op' => 'add', 'path' => $path, 'value' => $value]], $arguments);
    }

    /** @param non-empty-array<string, mixed> $values by path */
    public static function replaceEach(Element $element, array $values): self
    {
        return new self(
            $element->id(),
            array_map(
                static fn(string $path, mixed $value): array => ['op' => 'replace', 'path' => $path, 'value' => $value],
                array_keys($values),
                array_values($values),
            ),
            [],
        );
    }

    public static function remove(Element $element, string $path): self
    {
        return new self($element->id(), [['op' => 'remove', 'path' => $path]], []);
    }

    public static function move(Element $element, string $from, string $path): self
    {
        return new self($element->id(), [['op' => 'move', 'from' => $from, 'path' => $path]], []);
    }

    /** @param non-empty-list<string> $paths */
    public static function replaceAll(Element $element, array $paths, mixed $value): self
    {
        return new self(
            $element->id(),
            array_map(
                static fn(string $path): array => ['op' => 'replace', 'path' => $path, 'value' => $value],
                $paths,
            ),
            [],
        );
    }
}
