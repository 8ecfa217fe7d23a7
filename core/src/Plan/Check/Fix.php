<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

/** What would mend a finding with one click: a change to an element, as operations of JSON Patch (RFC 6902). */
final readonly class Fix
{
    /**
     * @param string                                                                        $element its id
     * @param non-empty-list<array{op: string, path: string, from?: string, value?: mixed}> $patch
     */
    private function __construct(public string $label, public string $element, private array $patch)
    {
    }

    public static function replace(string $label, string $element, string $path, mixed $value): self
    {
        return new self($label, $element, [['op' => 'replace', 'path' => $path, 'value' => $value]]);
    }

    public static function add(string $label, string $element, string $path, mixed $value): self
    {
        return new self($label, $element, [['op' => 'add', 'path' => $path, 'value' => $value]]);
    }

    public static function move(string $label, string $element, string $from, string $path): self
    {
        return new self($label, $element, [['op' => 'move', 'from' => $from, 'path' => $path]]);
    }

    /** @param non-empty-list<string> $paths */
    public static function replaceAll(string $label, string $element, array $paths, mixed $value): self
    {
        return new self($label, $element, array_map(static fn (string $path): array => ['op' => 'replace', 'path' => $path, 'value' => $value], $paths));
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['label' => $this->label, 'element' => $this->element, 'patch' => $this->patch];
    }
}
