<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Tests\Tried;
use PHPUnit\Framework\TestCase;

/**
 * The schema's figures and lengths are the reader's: of every field that has a least, a most or a longest, the last one
 * within is taken, and the first one outside is refused at its place.
 */
final class BoundsTest extends TestCase
{
    /** A field that earlier versions had: it is read, and written as another one. */
    private const EARLIER = '/waiting/music';

    public function testTheLastOneWithinIsTakenAndTheFirstOneOutsideIsNot(): void
    {
        $fields = 0;
        foreach ((new SchemaPlaces())->all() as [$element, $pointer, $schema]) {
            foreach (self::tried($schema) as [$value, $isTaken, $code]) {
                $changed = Tried::put($element, $pointer, $value);
                $said = self::said($pointer, $changed);
                $isTaken && self::EARLIER !== $pointer && self::assertKept($changed, $pointer, $value);
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
        foreach ((new SchemaPlaces())->all() as [$element, $pointer, $schema, $data]) {
            if (false === ($schema['additionalProperties'] ?? null) && \is_array($data)) {
                $at = $pointer . '/nobody_knows';
                self::assertSame(['field-not-known'], self::said($at, Tried::put($element, $at, 1)), $at);
                ++$objects;
            }
        }
        self::assertGreaterThan(60, $objects);
    }

    public function testEveryFieldIsThereAndIsWrittenAsItIsRead(): void
    {
        $rare = PlanCodec::fromData(SchemaPlaces::rare());
        foreach (SchemaPlaces::rare()['elements'] as $element) {
            self::assertEquals($element, json_decode(PlanCodec::encodeElement($rare->find($element['id'])), true));
        }
        $there = $fields = [];
        foreach ((new SchemaPlaces())->all() as [$element, $pointer, $schema, $data]) {
            $field =
                ($element['kind'] ?? '') . ' ' . preg_replace(['~^.*/steps/\d+~', '~\d+~'], ['step ', '#'], $pointer);
            $fields[$field] = true;
            null === $data || ($there[$field] = true);
        }
        self::assertGreaterThan(300, \count($there));
        self::assertSame(
            ['queue ' . self::EARLIER],
            array_keys(array_diff_key($fields, $there)),
            'As earlier versions had it.',
        );
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
}
