<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Script;

use Meandros\Core\Plan\Step\MenuWord;
use Meandros\Core\Script\Spoken;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is said at a menu, and what it is taken for. */
final class SpokenTest extends TestCase
{
    #[DataProvider('said')]
    public function testWhatItIsTakenFor(
        string $said,
        ?string $key,
        ?string $word,
        bool $isAmong = false,
        int $letters = 0,
        string $language = 'en',
    ): void {
        $words = [
            new MenuWord('1', 'en', ['bookings', 'new booking']),
            new MenuWord('1', 'fr', ['réservations']),
            new MenuWord('2', 'en', ['freight', 'café']),
            new MenuWord('2', 'fr', ['fret']),
            new MenuWord('3', 'en', ['boat', 'sailings']),
            new MenuWord('4', 'en', ['coat']),
            new MenuWord('5', 'en', ['car']),
            new MenuWord('6', 'en', ['Bookings']),
        ];
        $understood = Spoken::understand($said, $words, $language);
        self::assertSame(
            [$key, $word, $isAmong, $letters],
            [$understood->key, $understood->word, $understood->isAmong, $understood->letters],
        );
    }

    /** @return iterable<string, array{0: string, 1: string|null, 2: string|null, 3?: bool, 4?: int, 5?: string}> */
    public static function said(): iterable
    {
        yield 'the word' => ['freight', '2', 'freight'];
        yield 'in capitals, with a full stop' => ['  FREIGHT. ', '2', 'freight'];
        yield 'without its accent' => ['cafe', '2', 'café'];
        yield 'of two keys the first' => ['bookings', '1', 'bookings'];
        yield 'among others' => ['I want freight, please', '2', 'freight', true];
        yield 'the longer of two' => ['a new booking and a car', '1', 'new booking', true];
        yield 'of two as long the first of the menu' => ['a coat on the boat', '3', 'boat', true];
        yield 'not within another word' => ['carpet', null, null];
        yield 'a letter too many' => ['freights', '2', 'freight', false, 1];
        yield 'a letter too few, among others' => ['the freigt desk', '2', 'freight', true, 1];
        yield 'two letters of a long word' => ['salings', '3', 'sailings', false, 1];
        yield 'three are too many' => ['slings', '3', 'sailings', false, 2];
        yield 'as near to two keys' => ['moat', null, null];
        yield 'a letter of four' => ['cofe', '2', 'café', false, 1];
        yield 'a short word must be right' => ['cab', null, null];
        yield 'in another language' => ['fret', null, null];
        yield 'in the language of the call' => ['reservations', '1', 'réservations', false, 0, 'fr'];
        yield 'nothing' => ['…', null, null];
    }
}
