<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Integrity\Integrity;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Reworded;
use Meandros\Core\Plan\Rewording;
use Meandros\Core\Reading\InvalidData;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Words in the place of others: where they are found, how they are written there, and that nothing else changes. */
final class RewordingTest extends TestCase
{
    #[DataProvider('texts')]
    public function testWordsAndTheirCapitals(string $words, string $put, string $text, string $after): void
    {
        $site = self::site($text);
        $reworded = (new Rewording($words, $put))->reworded($site)->toJson();
        self::assertSame($after, $reworded['address']);
        self::assertSame(
            array_diff_key($site->toJson(), ['address' => 0]),
            array_diff_key($reworded, ['address' => 0]),
        );
    }

    /** @return iterable<array{string, string, string, string}> */
    public static function texts(): iterable
    {
        yield 'capitals stay as they are' => [
            'Bookings',
            'Reservations',
            'For bookings: Bookings, BOOKINGS',
            'For reservations: Reservations, RESERVATIONS',
        ];
        yield 'also where small letters are typed' => ['bookings', 'reservations', 'Bookings', 'Reservations'];
        yield 'whole words only' => [
            'Port',
            'Quay',
            'Port office, Portland, airport, port-side',
            'Quay office, Portland, airport, quay-side',
        ];
        yield 'letters of other alphabets are letters' => ['Port', 'Quay', 'Portée Éport', 'Portée Éport'];
        yield 'accents count' => ['Évreux', 'Caen', 'Évreux evreux', 'Caen evreux'];
        yield 'several words, however far apart' => ['Quay Road', 'Pier Street', '1 Quay  Road', '1 Pier Street'];
        yield 'nothing else is a pattern' => ['a.b (c)', 'd', 'a.b (c), axb (c)', 'd, axb (c)'];
        yield 'digits have no capitals' => ['24 hours', 'Day and night', '24 hours', 'Day and night'];
        yield 'what is put there is no pattern' => ['Road', '$0 \1', 'Quay Road', 'Quay $0 \1'];
        yield 'a blank is no word' => ['opening', 'beginning', 'Opening: {opening}', 'Beginning: {opening}'];
        yield 'taken away' => ['Ltd', '', 'Harbour Ltd, Quay', 'Harbour , Quay'];
        yield 'one capital is no shouting' => ['A', 'the', 'A ship, a ship', 'The ship, the ship'];
    }

    public function testEverywhereInTheDemoAndNothingElse(): void
    {
        $plan = PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'));
        $rewording = new Rewording('Bookings', 'Zzyzx');
        $back = new Rewording('Zzyzx', 'Bookings');
        $changed = [];
        foreach ($plan->elements() as $id => $element) {
            $found = $rewording->in($element);
            $after = $rewording->reworded($element);
            self::assertSame([] === $found, $element->toJson() == $after->toJson(), $element->name());
            self::assertEquals($element->toJson(), $back->reworded($after)->toJson());
            [] === $found || ($changed[$id] = $after);
            foreach ($found as $one) {
                self::assertStringNotContainsStringIgnoringCase('bookings', $one->after);
            }
        }
        self::assertGreaterThan(15, \count($changed));
        self::assertSame([], (new Integrity($plan->withAll($changed)))->problems());
        $names = array_map(static fn(Element $one): string => $one->name(), $changed);
        self::assertContains('Zzyzx line', $names);
    }

    public function testANameComesFirstAndEachPlaceIsTold(): void
    {
        $found = (new Rewording('harbour', 'port'))->in(self::site('The harbour'));
        self::assertSame(
            [['/name', 'Harbour', 'Port'], ['/address', 'The harbour', 'The port']],
            array_map(
                static fn(Reworded $one): array => [$one->worded->pointer, $one->worded->text, $one->after],
                $found,
            ),
        );
    }

    public function testWhatMayNotBeSoIsRefusedAtItsField(): void
    {
        try {
            (new Rewording('Harbour', ''))->reworded(self::site(''));
            self::fail('An element has a name.');
        } catch (InvalidData $invalid) {
            self::assertSame('/name', $invalid->problems[0]->pointer);
        }
    }

    private static function site(string $address): Element
    {
        return PlanCodec::element([
            'id' => 'sit',
            'kind' => 'site',
            'name' => 'Harbour',
            'zone' => 'Europe/London',
            'country' => 'GB',
            'language' => 'en',
            'address' => $address,
        ]);
    }
}
