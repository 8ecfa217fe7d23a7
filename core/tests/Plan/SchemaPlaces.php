<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

/** Every field that the schema has, in the demo or among what is rare. */
final class SchemaPlaces
{
    private const SCHEMA = __DIR__ . '/../../schema/plan.schema.json';
    private const DEMO = __DIR__ . '/../../../demo/ternwick-ferries.json';
    /** With everything in it that the demo does not have. */
    private const RARE = __DIR__ . '/rare.json';

    /** @var array<string, mixed> */
    private array $schema;
    /** @var array<string, true> fields of the schema that were looked at */
    private array $seen = [];

    /** @return array<string, mixed> */
    public static function rare(): array
    {
        return self::json(self::RARE);
    }

    /** @return iterable<array{array<string, mixed>, string, array<string, mixed>, mixed}> an element, a pointer, what the schema says, what is there */
    public function all(): iterable
    {
        $this->schema = self::json(self::SCHEMA);
        foreach ([...self::json(self::DEMO)['elements'], ...self::rare()['elements']] as $element) {
            foreach ($this->places('/$defs/element', $element, '') as $pointer => [$schema, $data]) {
                yield [$element, $pointer, $schema, $data];
            }
        }
    }

    /**
     * Everything that the schema says of an element, by pointer: also of fields that it leaves out, where their object is there. Each
     * field of the schema once.
     *
     * @param string|null          $field  of the schema that refers to this place
     * @param array<string, mixed> $beside what it says beside that
     *
     * @return iterable<string, array{array<string, mixed>, mixed}> what the schema says, and what is there
     */
    private function places(
        string $place,
        mixed $data,
        string $pointer,
        ?string $field = null,
        array $beside = [],
    ): iterable {
        $schema = $beside + $this->at($place);
        $field ??= $place;
        if (isset($schema['$ref'])) {
            $beside = array_diff_key($schema, ['$ref' => true]);
            yield from $this->places(substr($schema['$ref'], 1), $data, $pointer, $field, $beside);

            return;
        }
        foreach ([...array_keys($schema['oneOf'] ?? []), ...array_keys($schema['anyOf'] ?? [])] as $i) {
            $branch = $place . (isset($schema['oneOf']) ? '/oneOf/' : '/anyOf/') . $i;
            if ($this->isOf($branch, $data)) {
                yield from $this->places($branch, $data, $pointer, $field . $i);
            }
        }
        $key = $field . ([] === $data ? ' is empty' : (null === $data ? '' : ' is there'));
        if (!isset($this->seen[$key])) {
            $this->seen[$key] = true;
            yield $pointer => [$schema, $data];
        }
        foreach (\is_array($data) ? $schema['properties'] ?? [] : [] as $name => $_) {
            yield from $this->places($place . '/properties/' . $name, $data[$name] ?? null, $pointer . '/' . $name);
        }
        foreach (isset($schema['items']) && \is_array($data) ? $data : [] as $i => $one) {
            yield from $this->places($place . '/items', $one, $pointer . '/' . $i);
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

    /** @return array<string, mixed> */
    public static function json(string $file): array
    {
        return (array) json_decode((string) file_get_contents($file), true, 64, \JSON_THROW_ON_ERROR);
    }
}
