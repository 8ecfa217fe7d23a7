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
        foreach ([...range(0xa1, 0x24f), ...range(0x1e00, 0x1eff), ...range(0x2010, 0x2044)] as $code) {
            $letter = mb_chr($code);
            self::assertSame($long->transliterate($letter), PlainLetters::of($letter), $letter);
        }
    }
}
