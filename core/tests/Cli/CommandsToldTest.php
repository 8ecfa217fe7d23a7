<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Cli;

use Meandros\Core\Cli\Application;
use Meandros\Core\Tests\Told;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the commands tell of the demo, all of it. */
final class CommandsToldTest extends TestCase
{
    private const DEMO = __DIR__ . '/../../../demo/ternwick-ferries.json';
    private const AT = '--at 2026-11-23T10:30';

    /** What another plan has in places of the demo: values by id and pointer. */
    private const OTHER = [
        'hrs_bookings' => ['/seasons/0/week/0/from' => '08:30', '/seasons/0/week/3/days' => ['sa']],
        'hrs_lost' => ['/default' => 'open'],
        'team_port' => ['/members' => []],
        'que_bookings' => ['/waiting/longestSeconds' => 120],
    ];

    private const FILES = [
        'BROKEN' => '{"format": 1, ',
        'WRONG' => '{"meandros": 2, "keys": 5, "elements": [{"kind": "number", "id": "num_a", "name": ""}]}',
        'SITELESS' => '{"meandros": 1, "name": "Test", "elements": []}',
    ];

    #[DataProvider('commands')]
    public function testIt(string $file, string ...$commands): void
    {
        $told = '';
        foreach ($commands as $command) {
            $told .= \sprintf("# %s\n%s\n", $command, self::said($command));
        }
        Told::same(\sprintf('%s/told/%s.txt', __DIR__, $file), $told);
    }

    /** @return iterable<list<string>> */
    public static function commands(): iterable
    {
        yield [
            'trace',
            'trace DEMO --to 01632960110 --from 07700900123 --at 2026-11-23T12:30',
            'trace DEMO --to +33261910100 --at 2026-12-25T11:00 --json',
        ];
        yield [
            'hours',
            'hours DEMO --id hrs_port ' . self::AT . ' --json',
            'hours DEMO --id hrs_bookings --at 2026-12-24T10:00',
        ];
        yield ['prompts', 'prompts DEMO', 'prompts DEMO --json'];
        yield [
            'coverage',
            'coverage DEMO --to 01632960100 ' . self::AT,
            'coverage DEMO --to 01632960110 ' . self::AT . ' --days 21 --json',
        ];
        yield [
            'endings',
            'endings DEMO --to 01632960110 ' . self::AT,
            'endings DEMO --to 01632960110 ' . self::AT . ' --json',
            'endings DEMO --to 01632960140 ' . self::AT . ' --json',
        ];
        yield [
            'impact',
            'impact DEMO OTHER --days 30 --to 01632960110 ' . self::AT,
            'impact OTHER DEMO --days 60 --to 01632960334 ' . self::AT . ' --json',
        ];
        yield ['brief', 'brief DEMO --days 60 ' . self::AT, 'brief OTHER DEMO --to 01632960110 --days 21 ' . self::AT];
        yield [
            'refused',
            '',
            'draw DEMO',
            'trace',
            'trace NOWHERE --to 201 ' . self::AT,
            'trace BROKEN --to 201 ' . self::AT,
            'trace WRONG --to 201 ' . self::AT,
            'trace SITELESS --to 201 ' . self::AT,
            'trace DEMO ' . self::AT,
            'trace DEMO --to',
            'trace DEMO --to 201 --until 5',
            'trace DEMO --to 201 --at noon',
            'trace DEMO --to 016 ' . self::AT,
            'trace DEMO --to 0163 ' . self::AT,
            'trace DEMO --to 0044 ' . self::AT,
            'trace DEMO --to 201 --from 12- ' . self::AT,
            'trace DEMO --to 201 --zone Mars/Base ' . self::AT,
            'trace DEMO --to 201 --assume NOWHERE ' . self::AT,
            'trace DEMO --to 201 --assume BROKEN ' . self::AT,
            'trace DEMO --to 201 --assume WRONG ' . self::AT,
            'hours DEMO --id hrs_none ' . self::AT,
            'hours DEMO --id per_priya ' . self::AT,
            'coverage DEMO --to 201 --days 0 ' . self::AT,
            'coverage DEMO --to 201 --days 1101 ' . self::AT,
            'coverage DEMO --to 201 --days 1.5 ' . self::AT,
            'impact DEMO ' . self::AT,
            'brief DEMO --language eo ' . self::AT,
            'brief DEMO --to 202 ' . self::AT,
            'check DEMO',
        ];
        yield ['check', 'check DEMO --days 9 ' . self::AT, 'check DEMO --days 30 ' . self::AT . ' --json'];
    }

    private static function said(string $command): string
    {
        $other = self::kept(self::other());
        $files = array_map(self::kept(...), self::FILES);
        $words = explode(' ', strtr($command, ['DEMO' => self::DEMO, 'OTHER' => $other] + $files));
        $told = '';
        $out = static function (string $text) use (&$told): void {
            $told .= $text;
        };
        Application::run($words, $out, $out);
        array_map(unlink(...), [$other, ...array_values($files)]);
        $told = strtr($told, [$other => 'OTHER', self::DEMO => 'DEMO'] + array_flip($files));

        return \in_array('--json', $words, true)
            ? self::lines(json_decode($told, true, 64, \JSON_THROW_ON_ERROR))
            : $told;
    }

    private static function kept(string $text): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'told');
        file_put_contents($file, $text);

        return $file;
    }

    /** One line for each thing in a list, or for each value that has a name. */
    private static function lines(array $data): string
    {
        $lines = '';
        foreach ($data as $name => $value) {
            $isLong = \is_array($value) && \strlen(Told::json($value)) > 400;
            $lines .= \is_int($name) ? '' : $name . ': ';
            $lines .= $isLong && array_is_list($value) ? "\n" . self::lines($value) : Told::json($value) . "\n";
        }

        return $lines;
    }

    private static function other(): string
    {
        $data = json_decode((string) file_get_contents(self::DEMO), true, 64, \JSON_THROW_ON_ERROR);
        foreach ($data['elements'] as &$element) {
            foreach (self::OTHER[$element['id']] ?? [] as $pointer => $value) {
                $part = &$element;
                foreach (\array_slice(explode('/', $pointer), 1) as $name) {
                    \assert(\array_key_exists($name, $part));
                    $part = &$part[$name];
                }
                $part = $value;
                unset($part);
            }
        }

        return Told::json($data);
    }
}
