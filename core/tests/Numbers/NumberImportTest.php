<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Numbers;

use Meandros\Core\Numbers\NumberImport;
use Meandros\Core\Numbers\NumberOutcome;
use Meandros\Core\Numbers\NumberTable;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Told;
use Meandros\Core\Wording\ProblemWords;
use Meandros\Core\Wording\RowReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Rows of a file of numbers, held against a plan by hand: one number, a site in England and one in France. */
final class NumberImportTest extends TestCase
{
    /** @param list<string> $told of each row: what becomes of it, the name, site, language and target, or its problems */
    #[DataProvider('files')]
    public function testRows(string $text, bool $makes, array $told): void
    {
        self::assertSame($told, self::told($text, $makes));
    }

    /** @return iterable<string, array{string, bool, list<string>}> */
    public static function files(): iterable
    {
        yield 'a number alone' => ["number\n01632 960111\n", false, ['added +44 1632 960111 | sit_harbour en -']];
        yield 'all there is to say' => [
            "number,label,site,language,target\n02 61 91 01 77,Quai,Quai,FR,ANN\n",
            false,
            ['added Quai | sit_quai fr ann'],
        ];
        yield 'a number of the other country' => [
            "number\n02 61 91 01 77\n",
            false,
            ['added +33 2 61 91 01 77 | sit_quai fr -'],
        ];
        yield 'it is there already' => [
            "number,label\n(01632) 960-100,Front desk\n",
            false,
            ['changed Front desk | sit_harbour en jrn_main'],
        ];
        yield 'as it is' => [
            "number,label,target\n+441632960100,Main line,jrn_main\n",
            false,
            ['unchanged Main line | sit_harbour en jrn_main'],
        ];
        yield 'it leads nowhere from now on' => [
            "number,target\n01632 960100,\n",
            false,
            ['changed Main line | sit_harbour en -'],
        ];
        yield 'the same in two writings' => [
            "number\n01632 960111\n+44 1632 960 111\n",
            false,
            ['added +44 1632 960111 | sit_harbour en -', 'refused number: It stands in line 2 already.'],
        ];
        yield 'no such site, language or target' => [
            "number,site,language,target\n01632 960111,Dock,English,Nobody\n",
            false,
            [
                'refused site: There is no site “Dock”. language: "English" is not a language code. Use two letters such as en or fr. target: Nothing has the name “Nobody”.',
            ],
        ];
        yield 'a name of two' => [
            "number,target\n01632 960111,Twin\n",
            false,
            ['refused target: There are 2 with the name “Twin”.'],
        ];
        yield 'accents do not count' => [
            "number,target\n01632 960111,twín\n",
            false,
            ['refused target: There are 2 with the name “twín”.'],
        ];
        yield 'a journey is made, once' => [
            "number,target\n01632 960111,Coaches\n01632 960112,cóaches\n",
            true,
            [
                'added +44 1632 960111 | sit_harbour en jrn_1, makes Coaches',
                'added +44 1632 960112 | sit_harbour en jrn_1',
            ],
        ];
        yield 'not a number' => [
            "number\nhello\n",
            false,
            [
                'refused number: "hello" is not a phone number. Type it as you would dial it, or in international form with a plus sign.',
            ],
        ];
    }

    /** @param list<string> $told ids of those that are changed, or new, with the last number of a block and its extension */
    #[TestWith(["number,extension\n01632 960200,300\n", ['num_block +441632960299 300']])]
    #[TestWith(["number,extension\n01632 960205,300\n", ['new -']])]
    #[TestWith(["number,label\n01632 960205,Ann\n", ['new -']])]
    #[TestWith(["number,last,label\n01632 960205,,Ann\n", ['new -']])]
    #[TestWith(["number,last,label\n01632 960200,,Ann\n", ['num_block -']])]
    #[TestWith(["number,label\n01632 960200,Direct\n", ['num_block +441632960299 200']])]
    #[TestWith(["number,last\n01632 960200,01632 960249\n01632 960200,\n", ['num_block +441632960249 200', 'new -']])]
    #[TestWith(["number,last\n01632 960100,01632 960109\n", ['num_main +441632960109']])]
    public function testANumberIsNoBlockThatBeginsWithItOrHoldsIt(string $file, array $told): void
    {
        $block = ['id' => 'num_block', 'kind' => 'number', 'name' => 'Block', 'number' => '+441632960200'];
        $plan = self::plan()->with(
            [
                'site' => 'sit_harbour',
                'language' => 'en',
                'block' => ['last' => '+441632960299', 'extension' => '200'],
            ] + $block,
        );
        $outcomes = NumberImport::outcomes(
            $plan->plan(),
            NumberTable::read($file),
            false,
            static fn(): string => 'num_new',
        );
        self::assertSame(
            $told,
            array_map(
                static fn(NumberOutcome $one): string => ($one->before?->id() ?? 'new') .
                    ' ' .
                    trim(
                        ($one->number?->range->block->last ?? '-') .
                            ' ' .
                            ($one->number?->range->block->extension ?? ''),
                    ),
                $outcomes,
            ),
        );
    }

    public function testBlocksAndBeginnings(): void
    {
        $text = implode("\n", [
            'number,last,extension,label,target',
            '01632 960200,01632 960299,200,Direct lines,ANN',
            '+44 1632 9603*,,,Harbour,ANN',
            '01632 960400,01632 960399,,Backwards,ANN',
            '01632 960500,01632 960599,950,Too many,ANN',
            '01632 960600,nothing,,No number,ANN',
        ]);
        $outcomes = NumberImport::outcomes(
            self::plan()->plan(),
            NumberTable::read($text),
            false,
            static fn(Kind $kind): string => $kind->prefix() . '_new',
        );
        self::assertSame(
            ['last' => '+441632960299', 'extension' => '200'],
            $outcomes[0]->number?->range->block?->toJson(),
        );
        self::assertSame('+4416329603*', $outcomes[1]->number?->range->number);
        self::assertSame(
            [
                [
                    'last: +441632960399 does not come after +441632960400. Enter the last number of the block, or have a single number.',
                ],
                [
                    'extension: The block needs extensions 950 to 1049, and the last have more than 3 digits. Begin with a lower extension, or make the block smaller.',
                ],
                [
                    'last: "nothing" is not a phone number. Type it as you would dial it, or in international form with a plus sign.',
                ],
            ],
            array_map(
                static fn(NumberOutcome $one): array => RowReport::number($one, self::plan()->plan())['problems'],
                \array_slice($outcomes, 2),
            ),
        );
    }

    public function testWhatBecomesOfEachRowIsTold(): void
    {
        $demo = PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'));
        $files = [
            'number,last,extension,label,site,language,target
01632 960500,,,New line,Ternwick Harbour,en,Main line
01632 960110,,,Bookings again,,,
+33 2 61 91 01 77,,,Port two,,,Port office
02 61 91 01 78,,,Port three,Port-Saint-Aubert,,Port office
01632 960600,01632 960599,400,Backwards,,,
01632 960600,01632 960619,400,In the file already,,,Bookings line
01632 960620,01632 960639,500,Block,,FR,Bookings line
01632 960100,01632 960120,,Main line,,,Bookings line
0163296*,,,In which country,,,Main line
0163297*,,,Harbour,Ternwick Harbour,,Main line
+4416329*,,,Written so,,,Main line
01632 960700,,,Bad site,Atlantis,,Main line
01632 960701,,,Bad language,,english,Main line
01632 960702,,,Bad target,,,Nobody
999,,,Too short,,,
,,,No number,,,
01632 960704,,202,One with an extension,,,
01632 960705,nothing,,No last,,,
01632 960706,01632 980705,,Too large,,,Main line',
            "number;label;target\n01632 960500;\"New; line\";Main line\n01632 960110;Bookings;Bookings line\n",
            "number\ttarget\n01632 960110\tNew journey\n01632 960111\tNew journey\n",
            "number,label\n01632 960110\n",
            "number,label\n01632 960110,Bookings,so\n",
        ];
        $told = '';
        foreach ($files as $file) {
            $told .= "# {$file}\n\n";
            $n = 0;
            try {
                foreach (
                    NumberImport::outcomes($demo, NumberTable::read($file), !str_contains($file, ','), static function (
                        Kind $kind,
                    ) use (&$n): string {
                        return $kind->prefix() . '_' . ++$n;
                    })
                    as $one
                ) {
                    $told .= Told::json(RowReport::number($one, $demo)) . "\n";
                    $told .= '  ' . Told::json([$one->number?->toJson(), $one->made?->toJson()]) . "\n\n";
                }
            } catch (InvalidData $invalid) {
                $told .= ProblemWords::all($invalid) . "\n\n";
            }
        }
        Told::same(__DIR__ . '/rows.txt', $told);
    }

    public function testTheTableComesBackAsItWent(): void
    {
        $table = NumberTable::write(self::plan()->plan());
        self::assertSame(
            "number,last,extension,label,site,language,target\r\n'+441632960100,,,\"Main line\",Harbour,en,jrn_main\r\n",
            $table,
        );
        self::assertSame(['unchanged Main line | sit_harbour en jrn_main'], self::told($table, false));
    }

    /** @return list<string> */
    private static function told(string $text, bool $makes): array
    {
        $n = 0;
        $told = [];
        foreach (
            NumberImport::outcomes(self::plan()->plan(), NumberTable::read($text), $makes, static function (
                Kind $kind,
            ) use (&$n): string {
                return $kind->prefix() . '_' . ++$n;
            })
            as $outcome
        ) {
            $number = $outcome->number;
            $json = RowReport::number($outcome, self::plan()->plan());
            $told[] =
                null === $number
                    ? 'refused ' . implode(' ', $json['problems'])
                    : \sprintf(
                        '%s %s | %s %s %s%s%s',
                        $json['outcome'],
                        $number->name(),
                        $number->line->site,
                        $number->line->language,
                        $number->target->element ?? '-',
                        null === $json['makes'] ? '' : ', makes ' . $json['makes'],
                        $number->line->tellsCaller ? '' : ', tells not who calls',
                    );
        }

        return $told;
    }

    private static function plan(): PlanBuilder
    {
        $plan = new PlanBuilder();

        return $plan
            // A table has no column for it.
            ->with(['why' => 'Painted on the ships.'] + $plan->element('num_main'))
            ->with([
                'id' => 'sit_quai',
                'kind' => 'site',
                'name' => 'Quai',
                'zone' => 'Europe/Paris',
                'country' => 'FR',
                'language' => 'fr',
            ])
            ->person('ann')
            ->team('team', [])
            ->with(['id' => 'mbx_twin', 'kind' => 'mailbox', 'name' => 'Twin'])
            ->with(['id' => 'jrn_twin', 'kind' => 'journey', 'name' => 'Twin', 'steps' => []]);
    }
}
