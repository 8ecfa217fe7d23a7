<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Filling;

use Meandros\Core\Filling\Spoken;
use Meandros\Core\Script\NamedTimes;
use Meandros\Core\Time\CivilDate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Days and times as a person says them. Words of numbers are those of ICU's spell-out; the sentences are worked out by hand. */
final class SpokenTest extends TestCase
{
    /** Monday. */
    private const TODAY = '2026-11-23';

    /** Source: the spelt-out numbers of ICU, which has them from CLDR. */
    public function testSmallNumbersAreThoseOfIcu(): void
    {
        foreach (['en', 'fr', 'de'] as $language) {
            $icu = new \NumberFormatter($language, \NumberFormatter::SPELLOUT);
            foreach ([...range(0, 22), 99, 100, 1234] as $number) {
                self::assertSame($icu->format($number), Spoken::in($language)->number($number));
            }
        }
    }

    #[DataProvider('moments')]
    public function testAMoment(string $language, string $day, string $time, string $words): void
    {
        self::assertSame(
            $words,
            Spoken::in($language)->moment(self::day(self::TODAY), self::day($day), self::minute($time)),
        );
    }

    /** @return iterable<array{string, string, string, string}> */
    public static function moments(): iterable
    {
        yield ['en', '2026-11-23', '14:00', 'today at two'];
        yield ['en', '2026-11-24', '08:00', 'tomorrow at eight'];
        yield ['en', '2026-11-25', '09:15', 'on Wednesday at a quarter past nine'];
        yield ['en', '2026-11-29', '08:30', 'on Sunday at half past eight'];
        yield ['en', '2026-11-30', '08:45', 'on Monday the thirtieth of November at a quarter to nine'];
        yield ['en', '2027-01-01', '12:00', 'on Friday the first of January at noon'];
        yield ['en', '2026-11-24', '00:00', 'tomorrow at midnight'];
        yield ['en', '2026-11-24', '06:59', 'tomorrow at six fifty-nine in the morning'];
        yield ['en', '2026-11-24', '07:05', 'tomorrow at seven oh five'];
        yield ['en', '2026-11-24', '07:10', 'tomorrow at seven ten'];
        yield ['en', '2026-11-24', '18:50', 'tomorrow at six fifty'];
        yield ['en', '2026-11-24', '19:00', 'tomorrow at seven in the evening'];
        yield ['en', '2026-11-24', '12:30', 'tomorrow at half past twelve'];
        yield ['en', '2026-11-24', '00:45', 'tomorrow at a quarter to one in the morning'];
        yield ['en', '2026-11-20', '08:00', 'on Friday the twentieth of November at eight'];
        yield ['fr', '2026-11-23', '14:00', 'aujourd’hui à quatorze heures'];
        yield ['fr', '2026-11-24', '08:00', 'demain à huit heures'];
        yield ['fr', '2026-11-25', '09:30', 'mercredi à neuf heures et demie'];
        yield ['fr', '2026-11-25', '12:30', 'mercredi à midi et demi'];
        yield ['fr', '2026-11-25', '00:00', 'mercredi à minuit'];
        yield ['fr', '2026-11-25', '01:15', 'mercredi à une heure quinze'];
        yield ['fr', '2026-11-25', '21:21', 'mercredi à vingt-et-une heures vingt-et-une'];
        yield ['fr', '2026-12-01', '08:00', 'mardi premier décembre à huit heures'];
        yield ['fr', '2026-12-02', '08:00', 'mercredi deux décembre à huit heures'];
        yield ['de', '2026-11-24', '08:05', 'Dienstag 08:05'];
        yield ['de', '2026-12-01', '08:05', 'Dienstag, 1. Dezember 08:05'];
    }

    public function testADateAWaitAndAPlace(): void
    {
        $told = static fn(string $language): array => [
            Spoken::in($language)->date(self::day(self::TODAY)),
            Spoken::in($language)->wait(1),
            Spoken::in($language)->wait(2),
            Spoken::in($language)->wait(21),
            Spoken::in($language)->place(3, 5),
            Spoken::in($language)->place(null, 0),
            Spoken::in($language)->place(1, null),
        ];
        self::assertSame(
            [
                'Monday the twenty-third of November',
                'about a minute',
                'about two minutes',
                'about twenty-one minutes',
                'You are number three. The wait is about five minutes.',
                'The wait is about a minute.',
                'You are number one.',
            ],
            $told('en'),
        );
        self::assertSame(
            [
                'lundi vingt-trois novembre',
                'environ une minute',
                'environ deux minutes',
                'environ vingt-et-une minutes',
                'Vous êtes le numéro trois. L’attente est d’environ cinq minutes.',
                'L’attente est d’environ une minute.',
                'Vous êtes le numéro un.',
            ],
            $told('fr'),
        );
        self::assertSame(['Montag, 23. November', '1 min', '2 min', '21 min', '', '', ''], $told('de'));
    }

    #[DataProvider('quarters')]
    public function testEveryQuarterIsUnderstoodAgain(string $language, string $between): void
    {
        $spoken = Spoken::in($language);
        for ($minute = 15; $minute < 1440; $minute += 15) {
            // The first word says the day, the second "at".
            $at = implode(' ', \array_slice(explode(' ', $spoken->moment(0, 1, $minute)), 2));
            $found = NamedTimes::in(\sprintf($between, $at, 'fr' === $language ? 'minuit' : 'midnight'), $language);
            self::assertContains($minute, $found[0][1] ?? [], $at);
            self::assertSame([1440], $found[0][2]);
        }
    }

    /** @return iterable<array{string, string}> */
    public static function quarters(): iterable
    {
        yield ['en', 'We are here from %s to %s.'];
        yield ['fr', 'Nous répondons de %s à %s.'];
    }

    private static function day(string $date): int
    {
        return (int) CivilDate::parse($date);
    }

    private static function minute(string $time): int
    {
        return 60 * (int) substr($time, 0, 2) + (int) substr($time, 3);
    }
}
