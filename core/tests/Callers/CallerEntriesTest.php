<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Callers;

use Meandros\Core\Call\Caller;
use Meandros\Core\Callers\CallerFile;
use Meandros\Core\Callers\CallerLookup;
use Meandros\Core\Callers\Overlaps;
use Meandros\Core\Plan\Element\CallerEntry;
use Meandros\Core\Plan\Element\CallerList;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Wording\ProblemWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Lists of callers as text, in plans and in files. */
final class CallerEntriesTest extends TestCase
{
    public function testLinesComeOutInOrder(): void
    {
        $list = self::list("withheld\n+441632960150\tMarlow Haulage\tAccount\nFR\tFrance\n+44*\n+4416*\t\tNear");
        self::assertSame(
            "+44*\n+4416*\t\tNear\n+441632960150\tMarlow Haulage\tAccount\nFR\tFrance\nwithheld",
            $list->entries->text(),
        );
        self::assertCount(5, $list->entries);
        self::assertSame(
            ['+44*', '+4416*', '+441632960150', 'FR', 'withheld'],
            array_map(static fn(CallerEntry $entry): string => $entry->match, iterator_to_array($list->entries)),
        );
    }

    public function testAListOfObjectsOfAnEarlierPlanIsRead(): void
    {
        $list = PlanCodec::element([
            'id' => 'clr',
            'kind' => 'callers',
            'name' => 'List',
            'entries' => [['match' => 'GB', 'name' => 'Home'], ['match' => '+33*', 'label' => 'Abroad']],
        ]);
        self::assertInstanceOf(CallerList::class, $list);
        self::assertSame("+33*\t\tAbroad\nGB\tHome", $list->entries->text());
    }

    /** @param array<string, string> $said messages by pointer */
    #[DataProvider('wrong')]
    public function testWhatIsWrongIsToldAtItsLine(string $lines, array $said): void
    {
        try {
            self::list($lines);
            self::fail('It is taken.');
        } catch (InvalidData $invalid) {
            self::assertSame(
                $said,
                array_combine(
                    array_map(static fn(Problem $one): string => $one->pointer, $invalid->problems),
                    array_map(static fn(Problem $one): string => ProblemWords::message($one), $invalid->problems),
                ),
            );
        }
    }

    /** @return iterable<string, array{string, array<string, string>}> */
    public static function wrong(): iterable
    {
        yield 'twice' => ["GB\nFR\nGB\tagain", ['/entries/2' => '"GB" is in this list twice.']];
        yield 'no match' => ["GB\nsomebody", ['/entries/1/match' => '"somebody" tells no callers apart.']];
        yield 'all there are' => ['+*', ['/entries/0/match' => '"+*" tells no callers apart.']];
        yield 'no country' => ['QQ', ['/entries/0/match' => '"QQ" is not a country.']];
        yield 'too much' => ["GB\ta\tb\tc", ['/entries/0' => 'This line has more than a match, a name and a label.']];
        yield 'a name that is too long' => [
            '+4416*' . "\t" . str_repeat('x', 201),
            ['/entries/0/name' => 'This is longer than 200 characters.'],
        ];
        yield 'more than there may be' => [
            str_repeat("GB\n", Limits::CALLER_ENTRIES + 1),
            ['/entries' => 'This list is too long.'],
        ];
    }

    public function testALongListIsFoundInFromItsFirstLineToItsLast(): void
    {
        $lines = array_map(
            static fn(int $i): string => '+44' . (1_000_000_000 + 3 * $i) . "\tCaller $i",
            range(0, 20_000),
        );
        $list = self::list(implode("\n", $lines));
        $find = static fn(int $n): ?string => (new CallerLookup())->find($list, Caller::parse('+44' . $n, 'GB'))?->name;
        foreach ([0, 1, 2, 9_999, 10_000, 19_999, 20_000] as $i) {
            self::assertSame("Caller $i", $find(1_000_000_000 + 3 * $i));
            self::assertNull($find(1_000_000_001 + 3 * $i));
        }
        self::assertNull($find(999_999_999));
    }

    public function testANumberIsAmongThoseThatBeginWithAllOfIt(): void
    {
        self::assertSame(
            '+441632960150*',
            (new CallerLookup())->find(self::list("+441632960150*\n+4416*"), Caller::parse('+441632960150', 'GB'))
                ?->match,
        );
    }

    /** RFC 4180: quotation marks, commas and line ends within cells; a header, where there is one, is none of it. */
    public function testAFileComesBackAsItWent(): void
    {
        $list = self::list("+441632960150\tMarlow \"Mo\" Haulage, Ltd\tAccount\n+4420*\tLondon\nFR\nwithheld");
        [$entries, $problems] = CallerFile::read(CallerFile::table($list), 'GB');
        self::assertSame(
            [[], $list->entries->text()],
            [$problems, \Meandros\Core\Plan\Element\CallerEntries::of($entries)->text()],
        );
        self::assertStringStartsWith(
            "number,name,label\r\n+441632960150,\"Marlow \"\"Mo\"\" Haulage, Ltd\",Account\r\n",
            CallerFile::table($list),
        );
    }

    public function testCards(): void
    {
        $cards =
            "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Marlow Haulage\r\nTEL;VALUE=uri:tel:+44-1632-960-150\r\nTEL;TYPE=cell:07700 900123\r\nCATEGORIES:Account,Freight\r\nEND:VCARD\r\nBEGIN:VCARD\r\nVERSION:4.0\r\nFN:Nobody\r\nTEL:12\r\nEND:VCARD\r\n";
        [$entries, $problems] = CallerFile::read($cards, 'GB');
        self::assertSame(
            ['+441632960150|Marlow Haulage|Account', '+447700900123|Marlow Haulage|Account'],
            array_map(static fn(CallerEntry $entry): string => implode('|', $entry->toJson()), $entries),
        );
        self::assertSame(['/8'], array_map(static fn(Problem $problem): string => $problem->pointer, $problems));
        $written = CallerFile::writeCards(self::list("+441632960150\tMarlow Haulage\tAccount\n+4420*\nFR"));
        self::assertSame(1, substr_count($written, 'BEGIN:VCARD'));
        self::assertSame(
            ['+441632960150|Marlow Haulage|Account'],
            array_map(
                static fn(CallerEntry $entry): string => implode('|', $entry->toJson()),
                CallerFile::read($written, 'GB')[0],
            ),
        );
    }

    /** Area codes as they are dialled at home; the prefixes are libphonenumber's. */
    #[DataProvider('beginnings')]
    public function testBeginnings(string $typed, string $country, string $match): void
    {
        self::assertSame($match, CallerFile::read($typed, $country)[0][0]->match);
    }

    /** @return iterable<array{string, string, string}> */
    public static function beginnings(): iterable
    {
        yield ['020*', 'GB', '+4420*'];
        yield ['+44 20 *', 'FR', '+4420*'];
        yield ['06*', 'FR', '+336*'];
        yield ['02 61 *', 'FR', '+33261*'];
        yield ['06*', 'IT', '+3906*'];
    }

    public function testNotMoreIsSaidToBeWrongThanAnybodyReads(): void
    {
        [$entries, $problems] = CallerFile::read(str_repeat("nobody\n", Limits::PROBLEMS + 5) . 'GB', 'GB');
        self::assertSame([[], Limits::PROBLEMS], [$entries, \count($problems)]);
    }

    public function testTwoListsThatHaveCallersInCommon(): void
    {
        $accounts = self::list("+441632960150\n+441632960151\n+33261910150\n+4420*\nwithheld", 'Accounts');
        $between = static fn(string $lines): ?array => null ===
        ($overlap = (new Overlaps())->between($accounts, self::list($lines)))
            ? null
            : [$overlap->count, $overlap->examples];
        self::assertNull($between("+441632960152\n+4421*\ninternal"));
        self::assertSame([1, [['+441632960150', '+441632960150']]], $between("+441632960150\tThe same"));
        self::assertSame([2, [['+441632960150', '+4416*'], ['+441632960151', '+4416*']]], $between('+4416*'));
        self::assertSame([1, [['+4420*', '+442079460000']]], $between('+442079460000'));
        self::assertSame([1, [['+4420*', '+44207*']]], $between('+44207*'));
        self::assertSame([1, [['+33261910150', 'FR']]], $between('FR'));
        self::assertSame([1, [['withheld', 'withheld']]], $between('withheld'));
        self::assertSame(
            [5, 3],
            [($all = $between("+4416*\n+4420*\n+33*\nwithheld"))[0] ?? 0, \count($all[1] ?? [])],
            'Three of them are named.',
        );
    }

    private static function list(string $lines, string $name = 'List'): CallerList
    {
        $list = PlanCodec::element(['id' => 'clr', 'kind' => 'callers', 'name' => $name, 'entries' => $lines]);
        \assert($list instanceof CallerList);

        return $list;
    }
}
