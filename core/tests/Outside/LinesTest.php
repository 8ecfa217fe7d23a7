<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Outside;

use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A harbour in Northumberland-like 01632, with a number in London, and an office in Paris with a line of its own. */
final class LinesTest extends TestCase
{
    /** Numbering plans as libphonenumber has them; ranges for fiction from memory (Ofcom's drama numbers, ARCEP's). */
    #[DataProvider('destinations')]
    public function testWhereANumberIsSeenFromALine(
        string $number,
        string $fromHarbour,
        string $fromParis,
        string $dialled,
    ): void {
        $plan = self::builder()->plan();
        $lines = new Lines($plan);
        [$harbour, $paris] = [
            $plan->get(OutsideLine::class, 'line_harbour'),
            $plan->get(OutsideLine::class, 'line_paris'),
        ];
        self::assertNotNull($harbour);
        self::assertNotNull($paris);
        self::assertSame(
            [$fromHarbour, $fromParis],
            [$lines->destination($number, $harbour)->value, $lines->destination($number, $paris)->value],
        );
        self::assertSame($dialled, $lines->dialled($number, $harbour));
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function destinations(): iterable
    {
        yield 'the same area' => ['+441632960222', 'local', 'international', '901632960222'];
        yield 'another area' => ['+441144960222', 'national', 'international', '901144960222'];
        yield 'a mobile' => ['+447700900123', 'mobile', 'international', '907700900123'];
        yield 'a French mobile' => ['+33639980123', 'international', 'mobile', '90033639980123'];
        yield 'Paris, where a number of ours is' => ['+33199000155', 'international', 'local', '90033199000155'];
        yield 'a premium number' => ['+449061234567', 'premium', 'premium', '909061234567'];
        yield 'a free one' => ['+448081570123', 'national', 'international', '908081570123'];
        yield 'a number of our own' => ['+441632960100', 'internal', 'internal', '901632960100'];
    }

    public function testCountriesThatShareACodeAreStillTwo(): void
    {
        $plan = (new PlanBuilder())
            ->with([
                'id' => 'sit_harbour',
                'kind' => 'site',
                'name' => 'Harbour',
                'zone' => 'America/Toronto',
                'country' => 'CA',
                'language' => 'en',
            ])
            ->with(self::line('line_harbour', 'sit_harbour', []))
            ->plan();
        $line = $plan->get(OutsideLine::class, 'line_harbour');
        self::assertNotNull($line);
        $seen = static fn(string $number): string => (new Lines($plan))->destination($number, $line)->value .
            ' ' .
            (new Lines($plan))->dialled($number, $line);
        self::assertSame(
            'national 914165550123',
            $seen('+14165550123'),
            'Toronto (NANP 555-01xx, reserved for fiction).',
        );
        self::assertSame('international 912025550123', $seen('+12025550123'), 'Washington.');
    }

    public function testTheSitesOwnLineIsTriedFirstAndForbiddenOnesNever(): void
    {
        $lines = new Lines(self::builder()->plan());
        $names = static fn(string $number, ?string $site): array => array_map(
            static fn(OutsideLine $line): string => $line->id(),
            $lines->carriers($number, $site),
        );
        self::assertSame(['line_harbour', 'line_paris'], $names('+441632960222', 'sit_harbour'));
        self::assertSame(['line_paris', 'line_harbour'], $names('+441632960222', 'sit_paris'));
        self::assertSame(
            ['line_harbour', 'line_paris'],
            $names('+441632960222', null),
            'By name, where no site is known.',
        );
        self::assertSame([], $names('+449061234567', 'sit_harbour'));
    }

    public function testAPhoneThatNoLineMayCarryDoesNotRing(): void
    {
        $trace = self::ring(['+447700900123', '+449061234567']);
        self::assertSame(['not answered line_harbour 907700900123', 'no line may carry it  '], self::told($trace));
        self::assertSame('unreachable', self::ring(['+449061234567'])->passage->visits[0]->exit);
    }

    public function testAForwardOfSomebodyLeavesFromTheirSiteFirst(): void
    {
        $person = static fn(string $site): array => [
            'id' => 'ann',
            'kind' => 'person',
            'name' => 'Ann',
            'extension' => '',
            'site' => $site,
            'phones' => [],
            'rules' => [['id' => 'away', 'name' => 'Away', 'next' => ['nobody' => '+441632960222']]],
        ];
        $line = static fn(string $site): ?string => self::builder()
            ->with($person($site))
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'handOver' => true]])
            ->call()->passage->rung[0]->carried->line;
        self::assertSame(['line_harbour', 'line_paris'], [$line('sit_harbour'), $line('sit_paris')]);
    }

    public function testWithoutAnyLineEveryCallLeaves(): void
    {
        $trace = (new PlanBuilder())
            ->with([
                'id' => 'out',
                'kind' => 'team',
                'name' => 'Out',
                'pattern' => 'all at once',
                'members' => [['who' => '+449061234567']],
            ])
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'out', 'seconds' => 20]])
            ->call();
        self::assertSame(['not answered  '], self::told($trace));
    }

    /**
     * Two channels at the harbour beside that of the call itself; Paris is not asked, being busy. In turn, 10 s each, a channel is free
     * again when the next begins.
     *
     * @param list<string> $outcomes
     */
    #[DataProvider('channels')]
    public function testEveryPhoneThatRingsTakesAChannel(
        string $pattern,
        int $taken,
        array $outcomes,
        ?string $exit,
    ): void {
        $trace = self::ring(['+447700900121', '+447700900122', '+447700900123'], $pattern, [
            'lines' => [['line' => 'line_harbour', 'taken' => $taken], ['line' => 'line_paris', 'taken' => 2]],
        ]);
        self::assertSame(
            $outcomes,
            array_map(
                static fn(Rung $rung): string => substr($rung->phone->id, -1) . ' ' . $rung->outcome,
                $trace->passage->rung,
            ),
        );
        self::assertSame($exit, $trace->passage->visits[0]->exit);
    }

    /** @return iterable<string, array{string, int, list<string>, string}> */
    public static function channels(): iterable
    {
        $no = 'not answered';
        yield 'the third finds none' => ['all at once', 0, ["1 $no", "2 $no", '3 all lines in use'], 'nobody'];
        yield 'one is taken by another call' => [
            'all at once',
            1,
            ["1 $no", '2 all lines in use', '3 all lines in use'],
            'nobody',
        ];
        yield 'all are' => [
            'all at once',
            2,
            ['1 all lines in use', '2 all lines in use', '3 all lines in use'],
            'busy',
        ];
        yield 'one after the other needs only one' => ['one after the other', 1, ["1 $no", "2 $no", "3 $no"], 'nobody'];
    }

    /**
     * @param array<string, mixed> $change
     */
    #[DataProvider('mistakes')]
    public function testAMistakeIsRefusedAtTheField(array $change, string $pointer): void
    {
        try {
            self::builder()
                ->with($change + self::line('line_harbour', 'sit_harbour', ['local']))
                ->plan();
            self::fail('This must be refused.');
        } catch (InvalidData $invalid) {
            self::assertStringEndsWith($pointer, $invalid->problems[0]->pointer);
        }
    }

    /** @return iterable<array{array<string, mixed>, string}> */
    public static function mistakes(): iterable
    {
        yield [['prefix' => '9 please'], '/prefix'];
        yield [['destinations' => ['the moon']], '/destinations/0'];
        yield [['channels' => 0], '/channels'];
        yield [['site' => 'sit_none'], '/site'];
    }

    /**
     * @param list<string>         $numbers
     * @param array<string, mixed> $assume
     */
    private static function ring(array $numbers, string $pattern = 'all at once', array $assume = []): Trace
    {
        return self::builder()
            ->with([
                'id' => 'out',
                'kind' => 'team',
                'name' => 'Out',
                'pattern' => $pattern,
                'memberSeconds' => 10,
                'members' => array_map(static fn(string $who): array => ['who' => $who], $numbers),
            ])
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'out', 'seconds' => 30, 'exits' => []]])
            ->call($assume);
    }

    /** @return list<string> */
    private static function told(Trace $trace): array
    {
        return array_map(
            static fn(Rung $rung): string => $rung->outcome . ' ' . $rung->carried->line . ' ' . $rung->carried->dials,
            $trace->passage->rung,
        );
    }

    private static function builder(): PlanBuilder
    {
        return (new PlanBuilder())
            ->with([
                'id' => 'sit_paris',
                'kind' => 'site',
                'name' => 'Paris',
                'zone' => 'Europe/Paris',
                'country' => 'FR',
                'language' => 'fr',
            ])
            ->with([
                'id' => 'num_paris',
                'kind' => 'number',
                'name' => 'Paris',
                'number' => '+33199000120',
                'site' => 'sit_paris',
                'language' => 'fr',
                'target' => null,
            ])
            ->with(
                ['channels' => 3] +
                    self::line('line_harbour', 'sit_harbour', [
                        'internal',
                        'local',
                        'national',
                        'mobile',
                        'international',
                    ]),
            )
            ->with(
                ['name' => 'Seine', 'prefix' => ''] +
                    self::line('line_paris', 'sit_paris', ['local', 'national', 'international']),
            );
    }

    /**
     * @param list<string> $destinations
     *
     * @return array<string, mixed>
     */
    private static function line(string $id, string $site, array $destinations): array
    {
        return [
            'id' => $id,
            'kind' => 'line',
            'name' => 'Quay',
            'site' => $site,
            'prefix' => '9',
            'destinations' => $destinations,
            'channels' => 2,
        ];
    }
}
