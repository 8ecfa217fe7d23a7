<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

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
