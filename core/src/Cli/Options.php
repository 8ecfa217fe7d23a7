<?php

declare(strict_types=1);

namespace Meandros\Core\Cli;

use Meandros\Core\Value\Lists;

/** `--name value` options and positional arguments of a command line. */
final readonly class Options
{
    /**
     * @param list<string>          $arguments
     * @param array<string, string> $values    flags have the value ""
     */
    private function __construct(public array $arguments, private array $values) {}

    /**
     * @param list<string> $words
     * @param list<string> $takingValue
     * @param list<string> $flags
     *
     * @throws \InvalidArgumentException
     */
    public static function parse(array $words, array $takingValue, array $flags): self
    {
        $arguments = $values = [];
        for ($i = 0; $i < \count($words); ++$i) {
            $word = $words[$i];
            if (!str_starts_with($word, '--')) {
                $arguments[] = $word;
                continue;
            }
            $name = substr($word, 2);
            if (Lists::has($flags, $name)) {
                $values[$name] = '';
            } elseif (Lists::has($takingValue, $name) && isset($words[$i + 1])) {
                $values[$name] = $words[++$i];
            } elseif (Lists::has($takingValue, $name)) {
                throw new \InvalidArgumentException(\sprintf('--%s needs a value.', $name));
            } else {
                throw new \InvalidArgumentException(
                    \sprintf('--%s is not known. Known: --%s.', $name, implode(', --', [...$takingValue, ...$flags])),
                );
            }
        }

        return new self($arguments, $values);
    }

    public function has(string $name): bool
    {
        return isset($this->values[$name]);
    }

    public function get(string $name, ?string $default = null): string
    {
        return $this->values[$name] ??
            ($default ?? throw new \InvalidArgumentException(\sprintf('--%s is missing.', $name)));
    }
}
