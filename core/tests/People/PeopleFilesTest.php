<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\People;

use Meandros\Core\People\PeopleCards;
use Meandros\Core\People\PeopleImport;
use Meandros\Core\People\PeopleTable;
use Meandros\Core\People\PersonOutcome;
use Meandros\Core\People\PersonRow;
use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\KnownBy;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\PhoneType;
use Meandros\Core\Plan\Element\ReachedBy;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Told;
use Meandros\Core\Wording\ProblemWords;
use Meandros\Core\Wording\RowReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PeopleFilesTest extends TestCase
{
    private static Plan $demo;

    public static function setUpBeforeClass(): void
    {
        self::$demo = PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'));
    }

    /**
     * The rules of RFC 4180, section 2, by number.
     *
     * @param list<string> $names
     */
    #[DataProvider('tables')]
    public function testTheRulesOfRfc4180(string $text, array $names): void
    {
        self::assertSame($names, array_map(static fn(PersonRow $row): string => $row->name, PeopleTable::read($text)));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function tables(): iterable
    {
        yield '1: lines end with CRLF' => ["name\r\nAda\r\nBen\r\n", ['Ada', 'Ben']];
        yield '2: the last line may not' => ["name\r\nAda\r\nBen", ['Ada', 'Ben']];
        yield '3 and 4: a header, and cells with commas between' => ["extension,name\r\n201,Ada\r\n", ['Ada']];
        yield '5: cells may be quoted' => ["\"name\",\"extension\"\r\n\"Ada\",\"201\"\r\n", ['Ada']];
        yield '6: quoted cells hold commas and line breaks' => [
            "name,extension\r\n\"Hall, Ada\nMay\",201\r\n",
            ["Hall, Ada\nMay"],
        ];
        yield '7: a quotation mark is doubled' => ["name\r\n\"Ada \"\"Deck\"\" Hall\"\r\n", ['Ada "Deck" Hall']];
        yield 'a byte-order mark and plain line feeds are taken too' => ["\u{FEFF}name\nAda\n\nBen\n", ['Ada', 'Ben']];
    }

    #[DataProvider('badTables')]
    public function testABadTableSaysWhere(string $text, string $words): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage($words);
        PeopleTable::read($text);
    }

    /** @return iterable<array{string, string}> */
    public static function badTables(): iterable
    {
        yield ['', 'file-empty'];
        yield [
            "first,last\r\nAda,Hall\r\n",
            'column-not-known {"unknown":"first\\", \\"last","columns":["name","extension","site","desk","soft","outside","mailbox"],"needed":"name"}',
        ];
        yield ["extension\r\n201\r\n", 'columns-not-named'];
        yield ["name,name\r\nAda,Ada\r\n", 'columns-not-named'];
        yield ["name,extension\r\nHall, Ada, 201\r\n", 'cells-differ {"line":2,"cells":3,"columns":2}'];
        yield ["name\r\n\"Ada\r\n", 'quote-not-closed'];
        yield ["name\r\nAda\r\nZo\xEB\r\n", 'line-not-utf-8 {"line":3}'];
    }

    public function testExportingAndImportingAgainChangesNothing(): void
    {
        foreach (
            [PeopleTable::read(PeopleTable::write(self::$demo)), PeopleCards::read(PeopleCards::write(self::$demo))]
            as $rows
        ) {
            $outcomes = self::outcomes($rows);
            self::assertCount(15, $outcomes);
            self::assertSame(
                ['unchanged'],
                array_values(
                    array_unique(
                        array_map(
                            static fn(PersonOutcome $one): string => RowReport::person($one, self::$demo)['outcome'],
                            $outcomes,
                        ),
                    ),
                ),
            );
        }
    }

    public function testSomebodyWithoutAnExtensionIsKnownByName(): void
    {
        $plan = (new PlanBuilder())->person('ned')->person('ben')->plan();
        $ben = $plan->get(Person::class, 'ben');
        self::assertNotNull($ben);
        $rows = PeopleTable::read("name,extension,outside\r\nned,260,\r\nnobody,261,07700 900177\r\nBEN,,07700 900178");
        $ids = array_map(
            static fn(PersonOutcome $one): array => [$one->person?->id(), $one->person?->known->extension],
            PeopleImport::outcomes($plan, $rows, static fn(): string => 'per_new'),
        );
        self::assertSame([['ned', '260'], ['per_new', '261'], ['ben', '']], $ids);
    }

    public function testFilesMayHaveLostAccents(): void
    {
        $builder = new PlanBuilder();
        foreach (['per_ines' => 'Inès', 'per_rene' => 'René', 'per_plain' => 'Rene'] as $id => $name) {
            $builder->with(['name' => $name] + $builder->person($id)->plan()->get(Person::class, $id)?->toJson());
        }
        $rows = PeopleTable::read("name,outside\r\nINES,07700 900177\r\nrené,07700 900178\r\nrene,07700 900179");
        self::assertSame(
            [['per_ines', 'Inès'], ['per_rene', 'René'], ['per_plain', 'Rene']],
            array_map(
                static fn(PersonOutcome $one): array => [$one->person?->id(), $one->person?->name()],
                PeopleImport::outcomes($builder->plan(), $rows, static fn(): string => 'per_new'),
            ),
            'Who is found by name keeps it; of two, the one who is written so is meant.',
        );
    }

    public function testRowsAreReportedOneByOne(): void
    {
        $outcomes = self::outcomes(
            PeopleTable::read(
                implode("\r\n", [
                    'name,extension,site,desk,outside,mailbox',
                    'Ned Garrow,260,Ternwick Harbour,Desk phone,07700 900177,',
                    'Dana Whitlock,201,,,Private 07700 900178,',
                    'Nobody Knows,261,Atlantis,,,',
                    'Twice,260,,Desk phone,,',
                    'Wrong,2x,,,12,No such mailbox',
                    ',262,,Desk phone,,',
                    'No Phone,263,,,,',
                ]),
            ),
        );
        $report = array_map(
            static fn(PersonOutcome $one): array => [
                RowReport::person($one, self::$demo)['line'],
                RowReport::person($one, self::$demo)['outcome'],
                ...RowReport::person($one, self::$demo)['problems'],
            ],
            $outcomes,
        );
        self::assertSame(
            [
                [2, 'added'],
                [3, 'changed'],
                [4, 'refused', 'site: There is no site “Atlantis”.'],
                [5, 'refused', 'extension: Extension 260 stands at line 2 already.'],
                [
                    6,
                    'refused',
                    'extension: "2x" is not an extension of 2 to 6 digits.',
                    'mailbox: There is no mailbox “No such mailbox”.',
                    'outside: "12" is too short for a phone number. Check the digits, and type the area code too.',
                ],
                [7, 'refused', 'name: There is no name.'],
                [8, 'refused', 'phones: There is no number and no phone.'],
            ],
            $report,
        );
        self::assertSame(
            ['Desk phone', 'Laptop', 'Private'],
            array_map(static fn(Phone $phone): string => $phone->label, $outcomes[1]->person->reach->phones ?? []),
            'Phones are added, none is taken away.',
        );
    }

    #[DataProvider('formulas')]
    public function testASpreadsheetComputesNothingAndEveryNameComesBack(string $name): void
    {
        $phones = [new Phone('desk', PhoneType::Desk, 'Desk phone')];
        $person = new Person(new About('per_odd', $name), 'sit_ternwick', new KnownBy('299'), new ReachedBy($phones));
        $table = PeopleTable::write(Plan::of('Odd', [$person]));
        self::assertStringContainsString("'" . $name, $table);
        self::assertSame($name, PeopleTable::read($table)[0]->name);
    }

    public function testNamesThatOnlyLookLikeItComeInAsTheyAre(): void
    {
        $read = PeopleTable::read("name,desk\n't Veer,Desk\nA-1 Desk,Desk\n");
        self::assertSame(["'t Veer", 'A-1 Desk'], array_map(static fn(PersonRow $row): string => $row->name, $read));
    }

    /** @return iterable<array{string}> OWASP, "CSV Injection": what a cell must not begin with; and what would look like the cure */
    public static function formulas(): iterable
    {
        yield ['=1+1'];
        yield ['+441632960110'];
        yield ['-2+3'];
        yield ['@SUM(A1)'];
        yield ["'=1+1"];
        yield ["''"];
    }

    public function testWhatThePlanWouldNotTakeIsRefusedAtItsLine(): void
    {
        $outcomes = self::outcomes(
            PeopleTable::read(
                'name,desk
' .
                    str_repeat('n', 201) .
                    ',Desk phone
Ann Odd,' .
                    str_repeat('d', 201) .
                    "
Ben Odd,\"bell\x07\"\r\nCal Odd,\"" .
                    implode(';', array_map(static fn(int $i): string => 'Desk ' . $i, range(1, Limits::PHONES + 1))) .
                    "\"\r\n",
            ),
        );
        self::assertSame(
            [
                ['name: This is longer than 200 characters. Shorten it.'],
                ['phones: This is longer than 200 characters. Shorten it.'],
                ['phones: This holds characters that cannot be shown. Type it again as plain text.'],
                ['phones: Nobody has more than 30 phones.'],
            ],
            array_map(
                static fn(PersonOutcome $one): array => RowReport::person($one, self::$demo)['problems'],
                $outcomes,
            ),
        );
    }

    public function testAFileHasSoManyPeople(): void
    {
        self::assertCount(
            Limits::PEOPLE,
            PeopleTable::read(
                'name
' .
                    str_repeat(
                        'Ann
',
                        Limits::PEOPLE,
                    ),
            ),
        );
        $this->expectExceptionMessage('table-too-long {"most":2000');
        PeopleTable::read(
            'name
' .
                str_repeat(
                    'Ann
',
                    Limits::PEOPLE + 1,
                ),
        );
    }

    public function testCardsAreCountedBeforeTheyAreRead(): void
    {
        $this->expectExceptionMessage('cards-too-many {"people":2000');
        PeopleCards::read(
            str_repeat(
                'BEGIN:VCARD
END:VCARD
',
                Limits::PEOPLE + 1,
            ),
        );
    }

    /** The examples of TEL in RFC 6350 6.4.1. */
    public function testTheExamplesOfRfc6350(): void
    {
        $rows = PeopleCards::read(
            "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Ada Hall\r\nTEL;VALUE=uri;PREF=1;TYPE=\"voice,home\":tel:+1-555-555-5555;ext=5555\r\nTEL;VALUE=uri;TYPE=home:tel:+33-01-23-45-67\r\nEND:VCARD\r\n" .
                "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Ben\r\nTEL;TYPE=\"cell,voice\";VALUE=uri:tel:+447700900177\r\nTEL:260\r\nEND:VCARD\r\n",
        );
        self::assertSame(['Phone +1-555-555-5555', 'Phone +33-01-23-45-67'], $rows[0]->phones->outside);
        self::assertSame(
            [['Mobile +447700900177'], '260', 7],
            [$rows[1]->phones->outside, $rows[1]->extension, $rows[1]->line],
        );
        $outcomes = self::outcomes($rows);
        self::assertSame(
            [
                'outside: "+33-01-23-45-67" is too short for a phone number. Check the digits, and type the area code too.',
            ],
            RowReport::person($outcomes[0], self::$demo)['problems'],
            'The second number of the example is one digit short of any in France.',
        );
        self::assertSame('+447700900177', $outcomes[1]->person?->reach->phones[0]->number());
    }

    public function testACardWithoutANumberIsRefusedAtItsLine(): void
    {
        $outcomes = self::outcomes(PeopleCards::read("BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Ada Hall\r\nEND:VCARD\r\n"));
        self::assertSame(
            [
                'line' => 1,
                'name' => 'Ada Hall',
                'outcome' => 'refused',
                'changes' => [],
                'problems' => ['phones: There is no number and no phone.'],
            ],
            RowReport::person($outcomes[0], self::$demo),
        );
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('cards-missing');
        PeopleCards::read('Hello');
    }

    public function testWhatBecomesOfEachRowAndCardIsTold(): void
    {
        $card = static fn(string ...$lines): string => implode("\r\n", [
            'BEGIN:VCARD',
            'VERSION:4.0',
            ...$lines,
            'END:VCARD',
            '',
        ]);
        $files = [
            'name,extension,site,desk,soft,outside,mailbox
Dana Whitlock,201,,Desk phone;Second desk,Laptop,,
Dana Whitlock,201,,,,,
Marcus Thole,,Port-Saint-Aubert,,Desk phone,Home 01632 960177;01632 960178,Freight mailbox
Marcus Thole,206,,,,,
Hugh Pellow,,,,,Mobile 07700 900110;Mobile 07700 900179,
New One,270,,Desk phone,,,
Another,270,,Desk phone,,,
Third,,Ternwick Harbour,,Laptop;Laptop,,
Yann Kerdoncuff,0,,,,01 99 00 12 34,
LUCIE VASSEUR,,,Desk phone,,+33 6 39 98 01 03,lost property MAILBOX',
            $card('FN:Dana Whitlock', 'X-MEANDROS-EXTENSION:201', 'TEL;TYPE=cell:07700 900171') .
            $card('FN:Nobody', 'CATEGORIES:Staff', 'TEL;TYPE=work:01632 960172;ext=12', 'TEL:tel:12') .
            $card(
                'FN:Desks',
                'X-MEANDROS-PHONE:desk:Front: left',
                'X-MEANDROS-PHONE:soft',
                'X-MEANDROS-SITE:Port-Saint-Aubert',
            ) .
            $card('FN:', 'TEL:07700 900173', 'X-MEANDROS-MAILBOX:Freight mailbox') .
            $card(
                'FN:Cells',
                'TEL;TYPE="text,cell":+447700900174',
                'TEL;TYPE=CELL:+447700900175',
                'TEL;TYPE=fax:+441632960176',
            ),
            $card('FN:Whole', 'TEL:07700 900173') . "BEGIN:VCARD\r\nVERSION:4.0\r\n;;;\r\nEND:VCARD\r\n",
            $card('FN:Whole', 'TEL:07700 900173') . "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Open",
        ];
        $told = '';
        foreach ($files as $file) {
            $told .= "# {$file}\n\n";
            try {
                $rows = str_starts_with($file, 'BEGIN') ? PeopleCards::read($file) : PeopleTable::read($file);
            } catch (InvalidData $invalid) {
                $told .= ProblemWords::all($invalid) . "\n\n";
                continue;
            }
            foreach (self::outcomes($rows) as $one) {
                $told .=
                    Told::json(RowReport::person($one, self::$demo)) .
                    "\n  " .
                    Told::json($one->person?->toJson()) .
                    "\n\n";
            }
        }
        Told::same(__DIR__ . '/rows.txt', $told);
    }

    /**
     * @param list<PersonRow> $rows
     *
     * @return list<PersonOutcome>
     */
    private static function outcomes(array $rows): array
    {
        $n = 0;

        return PeopleImport::outcomes(self::$demo, $rows, static function () use (&$n): string {
            return 'per_new_' . ++$n;
        });
    }
}
