<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time\Holiday;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Holiday\Church;
use PHPUnit\Framework\TestCase;

final class EasterTest extends TestCase
{
    /** The table to find Easter Day in the Book of Common Prayer, 2020 to 2040; values from memory. */
    private const WESTERN = '04-12 04-04 04-17 04-09 03-31 04-20 04-05 03-28 04-16 04-01 04-21 04-13 03-28 04-17 04-09 03-25 04-13 04-05 04-25 04-10 04-01';
    /** As the Orthodox churches print it, 2020 to 2030; values from memory. */
    private const ORTHODOX = '04-19 05-02 04-24 04-16 05-05 04-20 04-12 05-02 04-16 04-08 04-28';

    public function testThePublishedTables(): void
    {
        foreach ([[Church::Western, self::WESTERN], [Church::Orthodox, self::ORTHODOX]] as [$church, $table]) {
            foreach (explode(' ', $table) as $i => $date) {
                self::assertSame(2020 + $i . '-' . $date, CivilDate::format($church->easter(2020 + $i)));
            }
        }
    }

    /** python-dateutil's easter(), methods 3 (Western) and 2 (Orthodox), 1900 to 2199. */
    public function testEveryYearAgreesWithDateutil(): void
    {
        exec(
            '/usr/bin/python3 -c "from dateutil.easter import easter;[print(easter(y,3),easter(y,2)) for y in range(1900,2200)]"',
            $lines,
            $status,
        );
        self::assertSame(0, $status, 'python3-dateutil is a Debian package; bin/test installs it.');
        self::assertCount(300, $lines);
        foreach ($lines as $i => $line) {
            self::assertSame(
                $line,
                CivilDate::format(Church::Western->easter(1900 + $i)) .
                    ' ' .
                    CivilDate::format(Church::Orthodox->easter(1900 + $i)),
            );
        }
    }
}
