<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Element\PhoneType;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Wording\ProblemWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class InputTest extends TestCase
{
    /** @param list<string> $problems */
    #[DataProvider('files')]
    public function testAFileIsTakenUpToItsLength(mixed $value, string $read, array $problems): void
    {
        $found = [];
        try {
            self::assertSame($read, Input::read($value, static fn(Input $in): string => $in->long(2000)));
        } catch (InvalidData $invalid) {
            $found = array_map(ProblemWords::message(...), $invalid->problems);
        }
        self::assertSame($problems, $found);
    }

    /** @return iterable<string, array{mixed, string, list<string>}> */
    public static function files(): iterable
    {
        yield 'as long as may be' => [str_repeat('x', 2000), str_repeat('x', 2000), []];
        yield 'a byte more' => [str_repeat('x', 2001), '', ['The file is larger than 2 kB.']];
        yield 'nothing' => ['', '', ['This is missing.']];
        yield 'no text' => [7, '', ['This is missing.']];
    }

    public function testAValueHasSoManyFieldsAtMost(): void
    {
        $found = static function (int $count): array {
            $value = array_fill_keys(array_map(static fn(int $i): string => 'f' . $i, range(1, $count)), 1);
            try {
                Input::read($value, static fn(Input $in): null => $in->onlyFields(array_keys($value)));
            } catch (InvalidData $invalid) {
                return array_map(
                    static fn(Problem $one): string => $one->pointer . ' ' . $one->code,
                    $invalid->problems,
                );
            }

            return [];
        };
        self::assertSame([], $found(Limits::FIELDS));
        self::assertSame([' too-many-fields'], $found(Limits::FIELDS + 1));
    }

    /** @param \Closure(Input): mixed $read */
    #[DataProvider('wrong')]
    public function testAWrongShapeIsSaidAtItsPlace(mixed $value, \Closure $read, string $pointer, string $words): void
    {
        try {
            Input::read(['field' => $value], static fn(Input $in): mixed => $read($in->field('field')));
            self::fail('This must be refused.');
        } catch (InvalidData $invalid) {
            self::assertSame($pointer, $invalid->problems[0]->pointer);
            self::assertStringContainsString($words, ProblemWords::message($invalid->problems[0]));
            self::assertNotSame('', ProblemWords::remedy($invalid->problems[0]));
        }
    }

    /** @return iterable<string, array{mixed, \Closure, string, string}> */
    public static function wrong(): iterable
    {
        $text = static fn(Input $in): string => $in->text(10);
        $whole = static fn(Input $in): int => $in->whole(1, 10, 'seconds');
        $items = static fn(Input $in): array => array_map(
            static fn(Input $item): string => $item->text(),
            $in->items(5),
        );
        $entries = static fn(Input $in): array => array_map(
            static fn(Input $item): string => $item->text(),
            $in->entries(5),
        );
        yield 'no text' => ['  ', $text, '/field', 'missing'];
        yield 'a number for text' => [5, $text, '/field', 'must be text'];
        yield 'text too long' => ['12345678901', $text, '/field', 'longer than 10 characters'];
        yield 'characters that cannot be shown' => ["a\x00b", $text, '/field', 'cannot be shown'];
        yield 'no UTF-8' => ["\xC3\x28", $text, '/field', 'cannot be shown'];
        yield 'text for a number' => ['5', $whole, '/field', 'whole number of seconds from 1 to 10'];
        yield 'half a second' => [5.5, $whole, '/field', 'whole number'];
        yield 'too small' => [0, $whole, '/field', 'from 1 to 10'];
        yield 'too large' => [\PHP_INT_MAX, $whole, '/field', 'from 1 to 10'];
        yield 'an object for a list' => [['a' => 1], $items, '/field', 'must be a list'];
        yield 'a wrong item' => [['a', 2], $items, '/field/1', 'must be text'];
        yield 'a list for an object' => [['a'], $entries, '/field', 'must be an object'];
        yield 'a wrong entry with a slash in its name' => [['en/gb' => 2], $entries, '/field/en~1gb', 'must be text'];
        yield 'a word for true' => ['yes', static fn(Input $in): bool => $in->flag(false), '/field', 'true or false'];
        yield 'no such choice' => [
            'pocket',
            static fn(Input $in): \BackedEnum => $in->oneOf(PhoneType::class, PhoneType::Desk),
            '/field',
            'not one of the choices',
        ];
        yield 'an id with a space' => ['prm one', static fn(Input $in): string => $in->id(), '/field', 'not an id'];
        yield 'an id with a capital' => ['Prm', static fn(Input $in): string => $in->id(), '/field', 'not an id'];
        yield 'an id with a line break' => [
            "prm_one\n_",
            static fn(Input $in): string => $in->id(),
            '/field',
            'not an id',
        ];
    }

    public function testEveryProblemIsFoundInOnePass(): void
    {
        try {
            Input::read(['name' => '', 'seconds' => -1, 'more' => 1], static function (Input $in): void {
                $in->onlyFields(['name', 'seconds']);
                $in->field('name')->text();
                $in->field('seconds')->whole(0, 5, 'seconds');
            });
            self::fail('This must be refused.');
        } catch (InvalidData $invalid) {
            self::assertSame(
                ['/more', '/name', '/seconds'],
                array_map(static fn($problem): string => $problem->pointer, $invalid->problems),
            );
            self::assertStringContainsString(
                '/seconds: not-whole {"unit":"seconds","least":0,"most":5}',
                $invalid->getMessage(),
            );
        }
    }

    public function testWhatMayBeLeftOutHasItsDefault(): void
    {
        $read = Input::read(
            [],
            static fn(Input $in): array => [
                $in->field('a')->optionalText(),
                $in->field('b')->whole(1, 9, 'tries', 3),
                $in->field('c')->flag(true),
                $in->field('d')->reference(),
                $in->field('e')->items(5),
                $in->field('f')->entries(5),
                $in->field('g')->oneOf(PhoneType::class, PhoneType::Soft),
                $in->field('h')->isGiven(),
            ],
        );
        self::assertSame(['', 3, true, null, [], [], PhoneType::Soft, false], $read);
    }

    public function testTextIsTrimmedAndKeepsItsLetters(): void
    {
        self::assertSame(
            'Réservations 予約',
            Input::read(' Réservations 予約 ', static fn(Input $in): string => $in->text()),
        );
    }

    public function testNewIdsBeginWithTheirKind(): void
    {
        self::assertSame(
            'sit num cal hrs jrn clr prm per team que mbx line exp set',
            implode(' ', array_map(static fn(Kind $kind): string => $kind->prefix(), Kind::cases())),
        );
    }
}
