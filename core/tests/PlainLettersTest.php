<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use Meandros\Core\Plan\Json\HolidayReader;
use Meandros\Core\Reading\PlainLetters;
use PHPUnit\Framework\TestCase;

final class PlainLettersTest extends TestCase
{
    public function testAccentsCapitalsAndOtherLettersBecomePlainOnes(): void
    {
        self::assertSame('reception', PlainLetters::of('Réception'));
        self::assertSame("l'oeuf", PlainLetters::of('L’Œuf'));
        self::assertSame('desk 2', PlainLetters::of('Desk 2'));
        self::assertSame('athena ines', PlainLetters::of('Αθηνά Inès'));
        self::assertSame('', PlainLetters::of(''));
    }

    public function testTheyNameFilesAndHolidays(): void
    {
        self::assertSame('fete-du-travail-1', PlainLetters::joined(' Fête du Travail (1)', '-'));
        foreach (['1. Mai' => 'day_1_mai', 'Xy' => 'xy', 'X' => 'x_day', '…' => 'day_'] as $name => $id) {
            self::assertSame($id, HolidayReader::idFor($name));
        }
        self::assertSame(50, \strlen(HolidayReader::idFor(str_repeat('long ', 20))));
    }

    /** ICU, over all Latin letters and signs in use: all rules at once, which take long to be made. */
    public function testTheQuickWayIsTheLongWay(): void
    {
        $long = \Transliterator::create('Any-Latin; Latin-ASCII; Lower()');
        self::assertNotNull($long);
        foreach ([...range(161, 591), ...range(7680, 7935), ...range(8208, 8260)] as $code) {
            $letter = mb_chr($code);
            self::assertSame($long->transliterate($letter), PlainLetters::of($letter), $letter);
        }
    }
}
