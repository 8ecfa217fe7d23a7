<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\NumberBlock;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Integrity\Integrity;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\LedBy;
use Meandros\Core\Plan\OwnNumber;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\EventWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Numbers in a row for extensions, beginnings that many numbers have, and numbers that were given up. */
final class BlockTest extends TestCase
{
    #[DataProvider('calls')]
    public function testWhereACallComes(string $dialled, string $what, string $because, string $sentence): void
    {
        $plan = self::plan();
        $trace = $plan->call([], '2026-11-23T10:30', $dialled);
        $words = new EventWords($plan->plan());
        self::assertSame(
            [$what, $because, $sentence],
            [
                $words->what($trace->passage->events[0]->happening),
                $words->because($trace->passage->events[0]->happening),
                AnswerSentence::of($trace, $plan->plan()),
            ],
        );
    }

    #[DataProvider('blocks')]
    public function testBlocksThatShareANumberOverlap(string $first, string $last, bool $overlap): void
    {
        $block = new NumberBlock('+441632960200', '+441632960299');
        $other = new NumberBlock($first, $last);
        self::assertSame([$overlap, $overlap], [$block->overlaps($other), $other->overlaps($block)]);
    }

    /** @return iterable<array{string, string, bool}> */
    public static function blocks(): iterable
    {
        yield 'the last of one is the first of the other' => ['+441632960299', '+441632960310', true];
        yield 'one follows the other' => ['+441632960300', '+441632960310', false];
        yield 'one within the other' => ['+441632960210', '+441632960211', true];
        yield 'shorter numbers' => ['+44163296020', '+44163296029', false];
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function calls(): iterable
    {
        yield 'a number of the block, for somebody' => [
            '+441632960214',
            '+44 1632 960214 of Direct lines is dialled',
            'It is for extension 214, Ann.',
            'Rings Ann for 25 s, then leaves a message with mbx.',
        ];
        yield 'the first of it' => [
            '+441632960200',
            '+44 1632 960200 of Direct lines is dialled',
            'It is for extension 200, which nobody has: free ones go to mbx.',
            'Leaves a message with mbx.',
        ];
        yield 'the last of it' => [
            '+441632960299',
            '+44 1632 960299 of Direct lines is dialled',
            'It is for extension 299, which nobody has: free ones go to mbx.',
            'Leaves a message with mbx.',
        ];
        yield 'an exception within it' => [
            '+441632960250',
            'Berths is dialled',
            'Its calls go to Ben.',
            'Rings Ben for 25 s, then the call ends because no step is left.',
        ];
        yield 'one that was given up' => [
            '+441632960251',
            'Old desk is dialled',
            'It was given up and is kept free until Tue 1 Jun 2027. It has no target.',
            'The call ends because no step is left.',
        ];
        yield 'what begins alike, beyond the block' => [
            '+441632960300',
            '+44 1632 960300 of Harbour numbers is dialled',
            'All of them go to Ben.',
            'Rings Ben for 25 s, then the call ends because no step is left.',
        ];
        yield 'what begins alike, and longer' => [
            '+441632960777',
            '+44 1632 960777 of Harbour sevens is dialled',
            'All of them go to Ann.',
            'Rings Ann for 25 s, then leaves a message with mbx.',
        ];
    }

    public function testWhatNoneTakesIsNotDialled(): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('/to: not-dialled {"number":"+44 1632 961000"}');
        self::plan()->call([], '2026-11-23T10:30', '+441632961000');
    }

    public function testSomebodysOwnNumber(): void
    {
        $plan = self::plan()
            ->with(['name' => 'Later'] + self::number('later', '+441632960999', 'ben'))
            ->with(['name' => 'Sooner'] + self::number('sooner', '+441632960250', 'ben'))
            ->with(['name' => 'Berths'] + self::number('berths', '+441632960251', 'ben'))
            ->with(['name' => 'Old desk'] + self::number('old', '+441632960252', null))
            ->plan();
        $own = static fn(string $id): ?string => OwnNumber::of($plan, $plan->get(Person::class, $id));
        self::assertSame('+441632960214', $own('ann'), 'One of the block, for the extension.');
        self::assertSame('+441632960250', $own('ben'), 'One that leads there.');
        $block = new NumberBlock('+441632960200', '+441632960299', '200');
        self::assertSame(
            ['+441632960200', '+441632960299', null, null],
            array_map($block->numberOf(...), ['200', '299', '199', '300']),
        );
        self::assertNull($own('cid'), 'Theirs of the block is an exception, and leads elsewhere.');
        self::assertSame(
            ['num_direct', 'num_sevens'],
            array_map(static fn(Number $one): string => $one->id(), LedBy::of($plan, 'ann')),
        );
    }

    /** @param array<string, mixed> $number */
    #[DataProvider('mistakes')]
    public function testMistakesAreRefusedAtTheField(array $number, string $problem): void
    {
        $plan = self::plan()->plan();
        try {
            $element = PlanCodec::element(
                $number + [
                    'id' => 'num_new',
                    'kind' => 'number',
                    'name' => 'New',
                    'number' => '+441632960400',
                    'site' => 'sit_harbour',
                ],
            );
            $problems = (new Integrity($plan->with($element)))->problemsOf($element);
        } catch (InvalidData $invalid) {
            $problems = $invalid->problems;
        }
        self::assertSame([$problem], array_map(static fn(Problem $one): string => $one->summary(), $problems));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function mistakes(): iterable
    {
        $block = static fn(string $last, string $extension = ''): array => [
            'block' => ['last' => $last, 'extension' => $extension],
        ];
        yield 'a last number that comes first' => [
            $block('+441632960399'),
            '/block/last: block-backwards {"last":"+441632960399","first":"+441632960400"}',
        ];
        yield 'a last number that is the first' => [
            $block('+441632960400'),
            '/block/last: block-backwards {"last":"+441632960400","first":"+441632960400"}',
        ];
        yield 'of another length' => [
            $block('+44163296049'),
            '/block/last: block-of-other-length {"last":"+44163296049","first":"+441632960400"}',
        ];
        yield 'too many numbers' => [
            $block('+441632970400'),
            '/block/last: block-too-large {"size":10001,"most":10000}',
        ];
        yield 'beyond the extensions' => [
            $block('+441632960410', '990'),
            '/block/extension: block-beyond-extensions {"first":"990","last":"1000","digits":3}',
        ];
        yield 'no extension' => [$block('+441632960410', '9'), '/block/extension: not-an-extension'];
        yield 'a beginning with a block' => [
            ['number' => '+4416329604*'] + $block('+441632960410'),
            '/block: beginning-with-block',
        ];
        yield 'over the end of another block' => [
            ['number' => '+441632960299'] + $block('+441632960310'),
            '/block/last: blocks-overlap {"name":"Direct lines","first":"+441632960200","last":"+441632960299"}',
        ];
        yield 'within another block' => [
            ['number' => '+441632960210'] + $block('+441632960219'),
            '/block/last: blocks-overlap {"name":"Direct lines","first":"+441632960200","last":"+441632960299"}',
        ];
        yield 'a beginning that is there already' => [
            ['number' => '+4416329607*'],
            '/number: number-taken {"number":"+4416329607*","name":"Harbour sevens"}',
        ];
        yield 'no date' => [
            ['keptUntil' => '2027-02-30'],
            '/keptUntil: no-such-date {"date":"2027-02-30","first":1900,"last":2500}',
        ];
    }

    public function testTheLastExtensionThatFits(): void
    {
        $element = PlanCodec::element([
            'id' => 'num_new',
            'kind' => 'number',
            'name' => 'New',
            'number' => '+441632960400',
            'site' => 'sit_harbour',
            'block' => ['last' => '+441632960409', 'extension' => '990'],
        ]);
        self::assertInstanceOf(Number::class, $element);
        self::assertSame('999', $element->range->block?->lastExtension());
    }

    /** Two elements of a file are held against each other as well. */
    public function testBlocksOfAFileThatOverlapAreFoundAtBoth(): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessageMatches(
            '#/elements/7/block/last: blocks-overlap .*\n/elements/12/block/last: blocks-overlap#',
        );
        self::plan()
            ->with(self::number('more', '+441632960290', 'ben') + ['block' => ['last' => '+441632960310']])
            ->plan();
    }

    /**
     * Numbers reserved for drama, as dialled there; the ranges are from memory of what the regulators published (Ofcom, Arcep, NANPA
     * 555-01XX, ACMA, Bundesnetzagentur, ComReg, PTS). What libphonenumber makes of the two ends is a block of so many.
     */
    #[DataProvider('fiction')]
    public function testBlocksOfTenCountries(
        string $country,
        string $first,
        string $last,
        int $size,
        string $middle,
    ): void {
        [$from, $to] = [PhoneNumber::parse($first, $country), PhoneNumber::parse($last, $country)];
        $block = new NumberBlock($from, $to, '2000');
        self::assertSame($size, $block->size());
        $within = PhoneNumber::parse($middle, $country);
        self::assertTrue($block->contains($within));
        self::assertSame($within, $block->numberOf((string) $block->extensionOf($within)));
        self::assertNull($block->numberOf((string) (2000 + $size)));
    }

    /** @return iterable<string, array{string, string, string, int, string}> */
    public static function fiction(): iterable
    {
        yield 'GB' => ['GB', '01632 960000', '(01632) 960 999', 1000, '+44 1632 960500'];
        yield 'FR' => ['FR', '01 99 00 00 00', '01.99.00.99.99', 10000, '0033199001234'];
        yield 'US' => ['US', '(212) 555-0100', '212-555-0199', 100, '+1 212 555 0150'];
        yield 'CA' => ['CA', '416-555-0100', '(416) 555-0199', 100, '1 416 555 0101'];
        yield 'JM' => ['JM', '876-555-0100', '876 555 0199', 100, '+18765550177'];
        yield 'BB' => ['BB', '246-555-0100', '246-555-0199', 100, '+12465550111'];
        yield 'AU' => ['AU', '(02) 5550 0000', '02 5550 0999', 1000, '+61 2 5550 0123'];
        yield 'DE' => ['DE', '030 23125 000', '(030) 23125-999', 1000, '+49 30 23125 456'];
        yield 'IE' => ['IE', '020 910 0000', '(020) 910 0999', 1000, '+353 20 910 0042'];
        yield 'SE' => ['SE', '031-390 06 00', '031-3900699', 100, '+46 31 390 06 50'];
    }

    private static function plan(): PlanBuilder
    {
        return (new PlanBuilder())
            ->mailbox('mbx')
            ->with(['extension' => '214'] + self::person('ann', 'mbx'))
            ->with(['extension' => '215'] + self::person('ben', null))
            ->with(['extension' => '250'] + self::person('cid', null))
            ->with(
                self::number('direct', '+441632960200', 'mbx') + [
                    'block' => ['last' => '+441632960299', 'extension' => '200'],
                ],
            )
            ->with(['name' => 'Harbour sevens'] + self::number('sevens', '+4416329607*', 'ann'))
            ->with(['name' => 'Harbour numbers'] + self::number('all', '+441632960*', 'ben'))
            ->with(['name' => 'Berths'] + self::number('berths', '+441632960250', 'ben'))
            ->with(['name' => 'Old desk', 'keptUntil' => '2027-06-01'] + self::number('old', '+441632960251', null));
    }

    /** @return array<string, mixed> */
    private static function number(string $id, string $number, ?string $target): array
    {
        return [
            'id' => 'num_' . $id,
            'kind' => 'number',
            'name' => 'Direct lines',
            'number' => $number,
            'site' => 'sit_harbour',
            'target' => $target,
        ];
    }

    /** @return array<string, mixed> */
    private static function person(string $id, ?string $mailbox): array
    {
        return [
            'id' => $id,
            'kind' => 'person',
            'name' => ucfirst($id),
            'site' => 'sit_harbour',
            'mailbox' => $mailbox,
            'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
        ];
    }
}
