<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Callers\CallerFile;
use Meandros\Core\ICalendar\FileReader;
use Meandros\Core\People\PeopleCards;
use Meandros\Core\People\PeopleTable;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is refused for its size, its kind or its neighbours: what stands in a single field is told of every field elsewhere. */
final class RarelyRefusedTest extends TestCase
{
    /** @param \Closure(): mixed $read */
    #[DataProvider('refused')]
    public function testIsRefused(string $code, \Closure $read): void
    {
        try {
            $read();
            self::fail('It is taken.');
        } catch (InvalidData $invalid) {
            $codes = array_map(static fn(Problem $one): string => $one->code, $invalid->problems);
            self::assertSame([$code], array_values(array_unique($codes)));
        }
    }

    /** @return iterable<string, array{string, \Closure(): mixed}> */
    public static function refused(): iterable
    {
        $files = new FileReader('Europe/London', 21_000);
        $events = static fn(int $many): string => "BEGIN:VCALENDAR\n" .
            str_repeat("BEGIN:VEVENT\nUID:1\nEND:VEVENT\n", $many) .
            'END:VCALENDAR';
        yield 'more events than a calendar has' => [
            'too-many-events',
            static fn(): mixed => $files->read($events(5001)),
        ];
        yield 'cards in another encoding' => ['cards-not-text', static fn(): mixed => PeopleCards::read("\xE9")];
        yield 'a table of more than 4 MB' => [
            'table-too-large',
            static fn(): mixed => PeopleTable::read(str_repeat('x', 4_000_001)),
        ];
        yield 'more cells than columns' => [
            'cells-left-over',
            static fn(): mixed => throw new InvalidData(CallerFile::read('+441632960123,Ann,,x', 'GB')[1]),
        ];
        yield 'a number of more than 60 characters' => [
            'number-too-long',
            static fn(): mixed => PhoneNumber::parse(str_repeat('0', 61), 'GB'),
        ];
        // Romanian numbers have 9 digits, or 6: between them none (libphonenumber's metadata).
        yield 'a number longer than one length and shorter than the next' => [
            'number-of-wrong-length',
            static fn(): mixed => PhoneNumber::parse('+402222222', 'RO'),
        ];
        $builder = new PlanBuilder();
        foreach (['set_one', 'set_two'] as $id) {
            $builder->with(['id' => $id, 'kind' => 'settings', 'name' => 'Settings']);
        }
        yield 'settings beside others' => ['settings-twice', static fn(): mixed => $builder->plan()];
        $hours = (new PlanBuilder())->hours('hrs', [])->element('hrs');
        $season = ['name' => 'Long', 'from' => '2026-01-01', 'to' => '2036-01-10', 'week' => []];
        yield 'a season of more than ten years' => [
            'span-too-long',
            static fn(): mixed => PlanCodec::element(['seasons' => [$season]] + $hours),
        ];
    }
}
