<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time;

use Meandros\Core\Time\Band;
use Meandros\Core\Time\TimeOfDay;
use Meandros\Core\Time\Weekday;
use Meandros\Core\Time\WeekText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WeekTextTest extends TestCase
{
    #[DataProvider('texts')]
    public function testWhatPeopleType(string $text, string $understood): void
    {
        self::assertSame($understood, self::words($text));
    }

    /** @return iterable<array{string, string}> */
    public static function texts(): iterable
    {
        yield ['mo-fr 9-12, 13-17:30 open', 'mo tu we th fr 09:00–12:00 open, 13:00–17:30 open'];
        yield ['Mon–Fri 9:00 – 12:00', 'mo tu we th fr 09:00–12:00 open'];
        yield [
            'weekdays 0830-1730; sat 9-12:30; sunday closed',
            'mo tu we th fr 08:30–17:30 open | sa 09:00–12:30 open | su 00:00–24:00 closed',
        ];
        yield ['mo, we, fr 9.30-12 lunch', 'mo we fr 09:30–12:00 lunch'];
        yield ['daily 9am-5:30pm', 'mo tu we th fr sa su 09:00–17:30 open'];
        yield ['mo 1pm-5pm', 'mo 13:00–17:00 open'];
        yield ['fr-mo 22-6', 'mo fr sa su 22:00–30:00 open'];
        yield ['mo 13-17, 9-12', 'mo 09:00–12:00 open, 13:00–17:00 open'];
        yield ['su 0-24', 'su 00:00–24:00 open'];
        yield ['tu 12am-12pm and 13h30-15h', 'tu 00:00–12:00 open, 13:30–15:00 open'];
        yield ['weekend all day closed', 'sa su 00:00–24:00 closed'];
    }

    #[DataProvider('riddles')]
    public function testWhatIsNotUnderstoodIsQuoted(string $text, string $words): void
    {
        $this->expectException(\InvalidArgumentException::class);
        $this->expectExceptionMessage($words);
        self::words($text);
    }

    /** @return iterable<array{string, string}> */
    public static function riddles(): iterable
    {
        yield ['', 'Nothing is typed yet'];
        yield ['9-12 open', 'does not begin with a day'];
        yield ['mo-xy 9-12', 'does not begin with a day'];
        yield ['mo 9-12 perhaps', '“perhaps” is not understood'];
        yield ['mo 9-25', 'There is no time 25. Write hours from 0 to 24, such as 9, 9:30 or 17:30.'];
        yield ['mo 9-24:30', 'There is no time 24:30'];
        yield ['mo 9:75-12', 'There is no time 9:75'];
        yield ['mo 9-12, 11-13', '11:00–13:00 overlaps'];
        yield ['mo 13pm-15', 'There is no time 13'];
    }

    private static function words(string $text): string
    {
        $entries = (new WeekText(['open' => 'Open', 'lunch' => 'Lunch break', 'closed' => 'Closed']))->parse($text);

        return implode(
            ' | ',
            array_map(
                static fn(array $entry): string => implode(
                    ' ',
                    array_map(static fn(Weekday $day): string => $day->value, $entry['days']),
                ) .
                    ' ' .
                    implode(
                        ', ',
                        array_map(
                            static fn(Band $band): string => TimeOfDay::format($band->fromSeconds) .
                                '–' .
                                TimeOfDay::format($band->toSeconds) .
                                ' ' .
                                $band->state,
                            $entry['bands'],
                        ),
                    ),
                $entries,
            ),
        );
    }
}
