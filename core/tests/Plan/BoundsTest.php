<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use PHPUnit\Framework\TestCase;

/**
 * The schema's figures and lengths are the reader's: of every field of the demo that has a least, a most or a longest, the last one
 * within is taken, and the first one outside is refused at its place.
 */
final class BoundsTest extends TestCase
{
    private const SCHEMA = __DIR__ . '/../../schema/plan.schema.json';
    private const DEMO = __DIR__ . '/../../../demo/ternwick-ferries.json';

    /** @var array<string, mixed> */
    private array $schema;
    /** @var array<string, true> fields of the schema that were looked at */
    private array $seen = [];

    public function testTheLastOneWithinIsTakenAndTheFirstOneOutsideIsNot(): void
    {
        $this->schema = self::json(self::SCHEMA);
        foreach (self::json(self::DEMO)['elements'] as $element) {
            foreach ($this->bounded('/$defs/element', $element, '') as $pointer => $bounds) {
                foreach (self::tried($bounds) as [$value, $isTaken, $code]) {
                    $said = self::said($pointer, self::put($element, $pointer, $value));
                    $isTaken
                        ? self::assertNotContains($code, $said, $pointer . ' of ' . $element['id'])
                        : self::assertNotEmpty($said, $pointer . ' of ' . $element['id']);
                }
            }
        }
        self::assertGreaterThan(55, \count($this->seen));
    }

    /** @return iterable<array{mixed, bool, string}> a value, whether it is taken, and what would be said of one that is not */
    private static function tried(array $bounds): iterable
    {
        if (isset($bounds['maxLength'])) {
            yield [str_repeat('x', $bounds['maxLength']), true, 'too-long'];
            yield [str_repeat('x', $bounds['maxLength'] + 1), false, 'too-long'];
        }
        foreach (['minimum' => -1, 'maximum' => 1] as $bound => $outwards) {
            if (isset($bounds[$bound])) {
                yield [$bounds[$bound], true, 'not-whole'];
                yield [$bounds[$bound] + $outwards, false, 'not-whole'];
            }
        }
    }

    /**
     * Fields with bounds of an element, by pointer; each field of the schema once.
     *
     * @param string|null $field of the schema that refers to this place
     *
     * @return iterable<string, array<string, mixed>>
     */
    private function bounded(string $place, mixed $data, string $pointer, ?string $field = null): iterable
    {
        $schema = $this->at($place);
        $field ??= $place;
        if (isset($schema['$ref'])) {
            yield from $this->bounded(substr($schema['$ref'], 1), $data, $pointer, $field);

            return;
        }
        if (isset($schema['maxLength']) || isset($schema['minimum']) || isset($schema['maximum'])) {
            isset($this->seen[$field]) || (yield $pointer => $schema);
            $this->seen[$field] = true;
        }
        foreach ([...array_keys($schema['oneOf'] ?? []), ...array_keys($schema['anyOf'] ?? [])] as $i) {
            $branch = $place . (isset($schema['oneOf']) ? '/oneOf/' : '/anyOf/') . $i;
            if ($this->isOf($branch, $data)) {
                yield from $this->bounded($branch, $data, $pointer, $field);
            }
        }
        foreach (\is_array($data) ? $schema['properties'] ?? [] : [] as $name => $_) {
            yield from $this->bounded($place . '/properties/' . $name, $data[$name] ?? null, $pointer . '/' . $name);
        }
        foreach (isset($schema['items']) && \is_array($data) ? $data : [] as $i => $one) {
            yield from $this->bounded($place . '/items', $one, $pointer . '/' . $i);
        }
    }

    /** Whether data goes by this branch of a choice: by the constants in it. */
    private function isOf(string $place, mixed $data): bool
    {
        $schema = $this->at($place);
        if (isset($schema['$ref'])) {
            return $this->isOf(substr($schema['$ref'], 1), $data);
        }
        foreach ($schema['properties'] ?? [] as $name => $property) {
            if (isset($property['const']) && ($data[$name] ?? null) !== $property['const']) {
                return false;
            }
        }

        return 'null' !== ($schema['type'] ?? null);
    }

    /** @return array<string, mixed> */
    private function at(string $place): array
    {
        $part = $this->schema;
        foreach (\array_slice(explode('/', $place), 1) as $name) {
            $part = $part[$name];
        }

        return $part;
    }

    /** @return list<string> codes of what is said of a place, or of what is in it */
    private static function said(string $pointer, array $element): array
    {
        try {
            PlanCodec::element($element);
        } catch (InvalidData $invalid) {
            return array_map(
                static fn(Problem $one): string => $one->code,
                array_values(
                    array_filter($invalid->problems, static fn(Problem $one): bool => $one->pointer === $pointer),
                ),
            );
        }

        return [];
    }

    private static function put(array $element, string $pointer, mixed $value): array
    {
        $part = &$element;
        foreach (\array_slice(explode('/', $pointer), 1) as $name) {
            $part = &$part[$name];
        }
        $part = $value;

        return $element;
    }

    /** @return array<string, mixed> */
    private static function json(string $file): array
    {
        return (array) json_decode((string) file_get_contents($file), true, 64, \JSON_THROW_ON_ERROR);
    }
}
