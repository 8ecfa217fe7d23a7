<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

/** The steps as docs/plan-format.md tells them: a line for each kind, from what the schema says of it. */
final readonly class StepTable
{
    private const SCHEMA = __DIR__ . '/../../schema/plan.schema.json';
    /** What every step has. */
    private const USUAL = ['id', 'do', 'why', 'exits'];
    /** Definitions of which a field says more by its name. */
    private const PLAIN = ['reference', 'link'];

    /** @param array<string, array<string, mixed>> $definitions of the schema */
    private function __construct(private array $definitions) {}

    public static function told(): string
    {
        $table = new self(SchemaPlaces::json(self::SCHEMA)['$defs']);
        $lines = ['| step (`do`) | what it does | fields | exits |', '|---|---|---|---|'];
        foreach ($table->definitions['step']['oneOf'] as $step) {
            $lines[] = $table->line($table->definitions[basename($step['$ref'])]);
        }

        return implode("\n", $lines) . "\n";
    }

    /** @param array<string, mixed> $step */
    private function line(array $step): string
    {
        $fields = $step['properties'];

        return \sprintf(
            '| %s | %s | %s | %s |',
            $fields['do']['const'],
            $step['description'] ??
                throw new \LogicException("{$fields['do']['const']}: the schema does not say what it does."),
            $this->fields(array_diff_key($fields, array_flip(self::USUAL))),
            isset($fields['exits']) ? $this->exits($fields['exits']) : '',
        );
    }

    /** @param array<string, array<string, mixed>> $fields by name */
    private function fields(array $fields): string
    {
        $told = [];
        foreach ($fields as $name => $field) {
            $about = $this->about($field);
            $told[] = "`$name`" . ('' === $about ? '' : " ($about)");
        }

        return implode(', ', $told);
    }

    /** @param array<string, mixed> $field what it refers to is told where it says nothing itself */
    private function about(array $field): string
    {
        $name = basename($field['$ref'] ?? ($field['items']['$ref'] ?? ''));
        $referred =
            isset($field['description']) || \in_array($name, self::PLAIN, true) ? [] : $this->definitions[$name] ?? [];
        $field += $referred;

        return implode(
            '; ',
            array_filter([
                $field['description'] ?? '',
                self::oneOf($field['enum'] ?? []),
                isset($referred['properties']) ? $this->fields($referred['properties']) : '',
            ]),
        );
    }

    /** @param array<string, mixed> $exits */
    private function exits(array $exits): string
    {
        $on = self::oneOf($this->definitions[basename($exits['$ref'])]['items']['properties']['on']['enum'] ?? []);

        return implode(': ', array_filter([$on, $exits['description'] ?? '']));
    }

    /** @param list<string|null> $words that a field may be; all the digits as a range */
    private static function oneOf(array $words): string
    {
        $words = array_filter($words, \is_string(...));
        $digits = array_map(strval(...), range(0, 9));
        if ([] === array_diff($digits, $words)) {
            $words = [...array_diff($words, $digits, ['*', '#']), '0`–`9', ...array_intersect(['*', '#'], $words)];
        }

        return implode(', ', array_map(static fn(string $word): string => "`$word`", $words));
    }
}
