<?php

declare(strict_types=1);

namespace Meandros\Core\Reading;

/**
 * Something wrong with given data: where (RFC 6901 JSON Pointer), and what, as a code with its data. Its words, and how to mend
 * it, are made elsewhere.
 */
final readonly class Problem
{
    /** @param array<string, string|int|list<string>|self> $arguments */
    public function __construct(public string $pointer, public string $code, public array $arguments = []) {}

    /** For logs and tests: where, the code, and its data as JSON. */
    public function summary(): string
    {
        $data = array_map(
            static fn(string|int|array|self $argument): string|int|array => $argument instanceof self
                ? $argument->summary()
                : $argument,
            $this->arguments,
        );
        $place = '' === $this->pointer ? '/' : $this->pointer;

        return $place .
            ': ' .
            $this->code .
            ([] === $data
                ? ''
                : ' ' .
                    json_encode(
                        $data,
                        \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_INVALID_UTF8_SUBSTITUTE,
                    ));
    }

    public function under(string $prefix): self
    {
        return new self($prefix . $this->pointer, $this->code, $this->arguments);
    }

    /** The same in a file: at a line, in a column. */
    public function inFile(string $pointer, int $line, string $column = 'none'): self
    {
        return new self($pointer, 'in-file', ['line' => $line, 'column' => $column, 'problem' => $this]);
    }
}
