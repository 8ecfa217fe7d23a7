<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Cli;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The command itself, as a user runs it. */
final class CommandTest extends TestCase
{
    private const DEMO = __DIR__ . '/../../../demo/ternwick-ferries.json';

    public function testTraceSaysTheAnswerAndItsReasons(): void
    {
        [$code, $out] = self::meandros('trace', self::DEMO, '--to', '01632 960110', '--at', '2026-12-25T11:00');
        self::assertSame(0, $code);
        self::assertStringStartsWith('Hears “Public holiday”, then leaves a message with Bookings mailbox.', $out);
        self::assertStringContainsString(
            'Christmas Day (Fri 25 Dec 2026) is a holiday of Bank holidays, England, until Sun 27 Dec 00:00',
            $out,
        );
    }

    public function testTraceAsJsonWithAssumptions(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'assume');
        file_put_contents($file, '{"keys": ["1"], "phones": [{"who": "per_priya", "does": "answers", "after": 6}]}');
        [$code, $out] = self::meandros(
            'trace',
            self::DEMO,
            '--to',
            '+441632960110',
            '--from',
            '07700 900123',
            '--at',
            '2026-11-23T10:30',
            '--assume',
            $file,
            '--json',
        );
        unlink($file);
        self::assertSame(0, $code);
        $trace = json_decode($out, true, 32, \JSON_THROW_ON_ERROR);
        self::assertSame(['answered', 'per_priya'], [$trace['ending']['kind'], $trace['ending']['who']]);
        self::assertSame('+447700900123', $trace['call']['from']);
    }

    public function testHoursSaysTheState(): void
    {
        [$code, $out] = self::meandros('hours', self::DEMO, '--id', 'hrs_port', '--at', '2026-11-23T12:59:59');
        self::assertSame(
            [
                0,
                "Port-Saint-Aubert hours: Lunch; the season “Horaire d’hiver” has it on Monday 12:00–14:00, until 14:00.\n",
            ],
            [$code, $out],
        );
    }

    /** @param list<string> $words */
    #[DataProvider('mistakes')]
    public function testBadInputExitsWithTwoAndSaysWhy(array $words, string $why): void
    {
        [$code, , $err] = self::meandros(...$words);
        self::assertSame(2, $code);
        self::assertStringContainsString($why, $err);
    }

    public function testWhatAllCallsComeTo(): void
    {
        $at = ['--to', '+441632960290', '--at', '2027-01-01T00:00'];
        [$code, $out] = self::meandros('coverage', self::DEMO, ...$at);
        self::assertSame(0, $code);
        self::assertStringContainsString('Mon–Fri 08:30–17:30; Sat 09:00–12:00', $out);
        [$code, $out] = self::meandros('coverage', self::DEMO, '--days', '7', '--json', ...$at);
        $lines = json_decode($out, true, 16, \JSON_THROW_ON_ERROR);
        self::assertSame([0, true], [$code, \is_array($lines) && \count($lines) > 1]);
        [$code, $out] = self::meandros('endings', self::DEMO, '--to', '+441632960290', '--at', '2026-11-23T10:30');
        self::assertSame(0, $code);
        self::assertStringContainsString("    0 s –    39 s  a message with Reception mailbox\n", $out);
        [$code, $out] = self::meandros('impact', self::DEMO, self::DEMO, '--at', '2027-01-01T00:00', '--days', '30');
        self::assertSame([0, "No call fares differently.\n"], [$code, $out]);
        $file = (string) tempnam(sys_get_temp_dir(), 'plan');
        file_put_contents($file, str_replace('"to": "17:30"', '"to": "16:00"', (string) file_get_contents(self::DEMO)));
        [$code, $out] = self::meandros('impact', self::DEMO, $file, ...$at);
        [, $json] = self::meandros('impact', self::DEMO, $file, '--json', ...$at);
        unlink($file);
        self::assertSame(0, $code);
        self::assertStringContainsString('Mon–Fri 16:00–17:30: before: rings ', $out);
        self::assertStringContainsString('"when": "Mon–Fri 16:00–17:30"', $json);
        self::assertStringContainsString('"severity": "nobody any more"', $json);
        [$code, , $err] = self::meandros('impact', self::DEMO, self::DEMO, '--from', '+441632960777', ...$at);
        self::assertSame(2, $code);
        self::assertStringContainsString('--from: leave it out', $err);
        [$code, , $err] = self::meandros('impact', self::DEMO, self::DEMO, '--to', '220', '--at', '2027-01-01T00:00');
        self::assertSame([2, "meandros: --to: a number that is dialled from outside.\n"], [$code, $err]);
        [$code, , $err] = self::meandros('coverage', self::DEMO, '--days', '0', ...$at);
        self::assertSame([2, "meandros: --days: a whole number from 1 to 1100.\n"], [$code, $err]);
    }

    public function testABrokenExpectationFailsTheCheck(): void
    {
        [$code, $out] = self::meandros('check', self::DEMO, '--at', '2026-11-23T10:30', '--days', '9');
        self::assertStringContainsString('broken', $out);
        self::assertSame(1, $code);
    }

    public function testHowLongPromptsAre(): void
    {
        [$code, $out] = self::meandros('prompts', self::DEMO);
        self::assertSame(0, $code);
        self::assertStringContainsString("   6 s  words           en  Welcome\n", $out);
        $take = [
            'id' => 'take',
            'language' => 'en',
            'sound' => str_repeat('a', 64),
            'milliseconds' => 5100,
            'words' => 'Hello',
        ];
        $file = (string) tempnam(sys_get_temp_dir(), 'plan');
        file_put_contents(
            $file,
            json_encode([
                'meandros' => 1,
                'name' => 'One prompt',
                'elements' => [
                    [
                        'id' => 'prm',
                        'kind' => 'prompt',
                        'name' => 'Hello',
                        'scripts' => ['en' => 'Hello there'],
                        'takes' => [$take],
                        'inUse' => ['en' => 'take'],
                    ],
                ],
            ]),
        );
        [, $out] = self::meandros('prompts', $file);
        self::assertSame("   6 s  take            en  Hello: recorded from other words\n", $out);
        [, $out] = self::meandros('prompts', $file, '--json');
        self::assertSame('other words', json_decode($out, true)[0]['take']);
        unlink($file);
    }

    /** @return iterable<array{list<string>, string}> */
    public static function mistakes(): iterable
    {
        yield [[], 'usage: meandros trace'];
        yield [['trace', '/nowhere.json', '--to', '1', '--at', '2026-01-01'], '/nowhere.json cannot be read'];
        yield [['trace', self::DEMO, '--at', '2026-01-01'], '--to is missing'];
        yield [['trace', self::DEMO, '--to'], '--to needs a value'];
        yield [['trace', self::DEMO, '--too', 'x'], '--too is not known'];
        yield [['trace', self::DEMO, '--to', '01632 960999', '--at', '2026-01-01'], 'is not a number of this plan'];
        yield [['trace', self::DEMO, '--to', 'hello', '--at', '2026-01-01'], 'is not a phone number'];
        yield [
            ['trace', self::DEMO, '--to', '01632 960110', '--at', '2026-02-30'],
            'The date 2026-02-30 does not exist',
        ];
        yield [
            ['trace', self::DEMO, '--to', '01632 960110', '--at', '2026-01-01', '--zone', 'Europe/Nowhere'],
            'is not a time zone',
        ];
        yield [
            ['trace', self::DEMO, '--to', '01632 960110', '--at', '2026-01-01', '--assume', self::DEMO],
            'This field is not known here',
        ];
        yield [['hours', self::DEMO, '--id', 'hrs_gone', '--at', '2026-01-01'], 'There are: hrs_bookings'];
        yield [['hours', __FILE__, '--id', 'hrs_gone', '--at', '2026-01-01'], 'not a JSON document'];
    }

    /** @return array{int, string, string} */
    private static function meandros(string ...$words): array
    {
        $process = proc_open(
            [\PHP_BINARY, __DIR__ . '/../../bin/meandros', ...$words],
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
            $pipes,
        );
        self::assertIsResource($process);
        $out = (string) stream_get_contents($pipes[1]);
        $err = (string) stream_get_contents($pipes[2]);

        return [proc_close($process), $out, $err];
    }
}
