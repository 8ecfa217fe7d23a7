<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Script;

use Meandros\Core\Script\NamedDates;
use Meandros\Core\Script\NamedTimes;
use Meandros\Core\Time\CivilDate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Times and dates that scripts name. */
final class NamedTimesTest extends TestCase
{
    #[DataProvider('stretches')]
    public function testStretches(string $language, string $script, string ...$stretches): void
    {
        $clock = static fn(int $minute): string => \sprintf('%d:%02d', intdiv($minute, 60), $minute % 60);
        self::assertSame(
            $stretches,
            array_map(
                static fn(array $one): string => implode('/', array_map($clock, $one[1])) .
                    ' to ' .
                    implode('/', array_map($clock, $one[2])),
                NamedTimes::in($script, $language),
            ),
        );
    }

    /** @return iterable<list<string>> */
    public static function stretches(): iterable
    {
        yield ['en', 'We are here from nine to five.', '9:00/21:00 to 5:00/17:00'];
        yield ['en', 'Between 8:30 and 17:00 we answer.', '8:30 to 17:00'];
        yield ['en', 'from 9 a.m. to 5 p.m., from ten p.m. until midnight', '9:00 to 17:00', '22:00 to 24:00'];
        yield ['en', 'from 22:00 to 24:00', '22:00 to 24:00'];
        yield ['en', 'from 22:00 to 25:00'];
        yield ['en', 'from 12 p.m. to 5 p.m., from 12 a.m. to 5 a.m.', '12:00 to 17:00', '0:00 to 5:00'];
        yield ['en', 'from eight in the morning to eight in the evening', '8:00 to 20:00'];
        yield ['en', 'from half past nine to noon', '9:30/21:30 to 12:00'];
        yield ['en', 'from nine thirty until a quarter to five', '9:30/21:30 to 4:45/16:45'];
        yield ['en', 'from two to three minutes; from Monday to Friday; from 40 to 50'];
        yield ['en', 'from ten to midnight', '10:00/22:00 to 24:00'];
        yield ['fr', 'de neuf heures à midi', '9:00 to 12:00'];
        yield ['fr', 'entre 9h30 et 17 h', '9:30 to 17:00'];
        yield ['fr', 'de vingt et une heures à minuit', '21:00 to 24:00'];
        yield ['fr', 'de deux heures de l’après-midi à huit heures du soir', '14:00 to 20:00'];
        yield ['fr', 'de dix-huit à vingt personnes'];
        yield ['de', 'von neun bis fünf'];
    }

    #[DataProvider('dates')]
    public function testDates(string $language, string $script, string ...$dates): void
    {
        $near = (int) CivilDate::parse('2026-11-23');
        self::assertSame(
            $dates,
            array_map(CivilDate::format(...), array_values(NamedDates::in($script, $language, $near))),
        );
    }

    /** @return iterable<list<string>> */
    public static function dates(): iterable
    {
        yield ['en', 'until Monday the fourth of January', '2027-01-04'];
        yield ['en', 'until the 4th of January 2026', '2026-01-04'];
        yield ['en', 'December the twenty-first, June 1st', '2026-12-21', '2026-06-01'];
        yield ['en', 'the thirty-first of November, may 1 be enough', '2027-05-01'];
        yield ['fr', 'jusqu’au lundi premier février, le 14 juillet 2025', '2027-02-01', '2025-07-14'];
        yield ['de', 'bis zum 4. Januar'];
    }
}
