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
        $fields = 0;
        foreach ($this->everywhere() as [$element, $pointer, $schema]) {
            foreach (self::tried($schema) as [$value, $isTaken, $code]) {
                $changed = self::put($element, $pointer, $value);
                $said = self::said($pointer, $changed);
                $isTaken && self::assertKept($changed, $pointer, $value);
                $isTaken
                    ? self::assertNotContains($code, $said, $pointer . ' of ' . $element['id'])
                    : self::assertNotEmpty($said, $pointer . ' of ' . $element['id']);
                ++$fields;
            }
        }
        self::assertGreaterThan(230, $fields);
    }

    public function testAFieldThatNobodyKnowsIsRefusedWhereverItStands(): void
    {
        $objects = 0;
        foreach ($this->everywhere() as [$element, $pointer, $schema, $data]) {
            if (false === ($schema['additionalProperties'] ?? null) && \is_array($data)) {
                $at = $pointer . '/nobody_knows';
                self::assertSame(['field-not-known'], self::said($at, self::put($element, $at, 1)), $at);
                ++$objects;
            }
        }
        self::assertGreaterThan(60, $objects);
    }

    /** @return iterable<array{array<string, mixed>, string, array<string, mixed>, mixed}> an element of the demo, a pointer, what the schema says, what is there */
    private function everywhere(): iterable
    {
        $this->schema = self::json(self::SCHEMA);
        foreach (self::json(self::DEMO)['elements'] as $element) {
            foreach ($this->places('/$defs/element', $element, '') as $pointer => [$schema, $data]) {
                yield [$element, $pointer, $schema, $data];
            }
        }
    }

    /** @return iterable<array{mixed, bool, string}> a value, whether it is taken, and what would be said of one that is not */
    private static function tried(array $bounds): iterable
    {
        if (isset($bounds['maxLength'])) {
            yield [str_repeat('x', $bounds['maxLength']), true, 'too-long'];
            yield [str_repeat('x', $bounds['maxLength'] + 1), false, 'too-long'];
        }
        if (1 === preg_match('~' . ($bounds['pattern'] ?? '$.') . '~u', '12')) {
            yield ['12', true, 'too-long'];
        }
        foreach (['minimum' => -1, 'maximum' => 1] as $bound => $outwards) {
            if (isset($bounds[$bound])) {
                yield [$bounds[$bound], true, 'not-whole'];
                yield [$bounds[$bound] + $outwards, false, 'not-whole'];
            }
        }
    }

    /**
     * Everything that the schema says of an element, by pointer: also of fields that it leaves out, where their object is there. Each
     * field of the schema once.
     *
     * @param string|null $field of the schema that refers to this place
     *
     * @return iterable<string, array{array<string, mixed>, mixed}> what the schema says, and what is there
     */
    private function places(string $place, mixed $data, string $pointer, ?string $field = null): iterable
    {
        $schema = $this->at($place);
        $field ??= $place;
        if (isset($schema['$ref'])) {
            yield from $this->places(substr($schema['$ref'], 1), $data, $pointer, $field);

            return;
        }
        foreach ([...array_keys($schema['oneOf'] ?? []), ...array_keys($schema['anyOf'] ?? [])] as $i) {
            $branch = $place . (isset($schema['oneOf']) ? '/oneOf/' : '/anyOf/') . $i;
            if ($this->isOf($branch, $data)) {
                yield from $this->places($branch, $data, $pointer, $field . $i);
            }
        }
        $key = $field . (null === $data ? '' : ' is there');
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

    /** What is taken is written as it was read, where nothing else is against it. */
    private static function assertKept(array $element, string $pointer, mixed $value): void
    {
        try {
            $kept = PlanCodec::element($element)->toJson();
        } catch (InvalidData) {
            return;
        }
        foreach (\array_slice(explode('/', $pointer), 1) as $name) {
            $kept = $kept[$name] ?? null;
        }
        self::assertSame($value, $kept, $pointer . ' of ' . $element['id']);
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
