<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Wording;

use Meandros\Core\Reading\Problem;
use Meandros\Core\Wording\Catalog;
use Meandros\Core\Wording\ProblemWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ProblemWordsTest extends TestCase
{
    /** What stands as the code of a problem in the sources: after `complain(`, `at(…,`, `new Problem(…,`, or in a choice of two. */
    private const CODE = '/\'([a-z][a-z0-9]*(?:-[a-z0-9]+)+|missing)\'/';

    public function testEveryCodeOfTheSourcesHasWordsAndEveryWordACode(): void
    {
        $named = [];
        foreach ([__DIR__ . '/../../src', __DIR__ . '/../../../src'] as $folder) {
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder)) as $file) {
                if ('php' === $file->getExtension() && !str_contains($file->getPathname(), '/messages/')) {
                    preg_match_all(self::CODE, (string) file_get_contents($file->getPathname()), $found);
                    $named += array_flip($found[1]);
                }
            }
        }
        $codes = array_values(
            array_filter(
                Catalog::of('problems')->codes(),
                static fn(string $code): bool => !str_ends_with($code, '.remedy'),
            ),
        );
        self::assertSame([], array_values(array_diff($codes, array_keys($named))), 'Words that nothing says.');
        // "complain('code'" and the like, where the code stands as it is.
        $said = [];
        foreach ([__DIR__ . '/../../src', __DIR__ . '/../../../src'] as $folder) {
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder)) as $file) {
                if ('php' === $file->getExtension()) {
                    preg_match_all(
                        '/(?:complain|refused)\(\s*\'([a-z0-9-]+)\'|(?:InvalidData::at|new Problem)\([^,()]*(?:\([^()]*\)[^,()]*)?,\s*\'([a-z0-9-]+)\'/',
                        (string) file_get_contents($file->getPathname()),
                        $found,
                    );
                    $said += array_flip(array_filter([...$found[1], ...$found[2]]));
                }
            }
        }
        self::assertGreaterThan(110, \count($said));
        self::assertSame([], array_values(array_diff(array_keys($said), $codes)), 'Codes without words.');
    }

    /** Of lines of a file it is said once, for all of them, how they are mended. */
    public function testWhateverIsRefusedIsToldWithItsRemedy(): void
    {
        $words = Catalog::of('problems');
        $without = array_filter(
            $words->codes(),
            static fn(string $code): bool => !str_ends_with($code, '.remedy') && !$words->has($code . '.remedy'),
        );
        self::assertSame(
            [
                'week-not-understood',
                'row-without-name',
                'not-an-extension-of-row',
                'extension-in-file',
                'person-in-file',
                'no-such-site',
                'no-such-mailbox',
                'too-many-phones',
                'row-without-phone',
                'number-in-file',
                'no-site-yet',
                'target-not-one',
                'no-such-target',
            ],
            array_values($without),
        );
    }

    /** @param array<string, string|int|list<string>|Problem> $arguments */
    #[DataProvider('sentences')]
    public function testSentences(string $code, array $arguments, string $words): void
    {
        self::assertSame($words, ProblemWords::both(new Problem('/there', $code, $arguments)));
    }

    /** @return iterable<array{string, array<string, string|int|list<string>|Problem>, string}> */
    public static function sentences(): iterable
    {
        yield ['missing', [], 'This is missing. Enter some text.'];
        yield [
            'not-whole',
            ['unit' => 'seconds', 'least' => 1, 'most' => 3600],
            'This must be a whole number of seconds from 1 to 3600. Enter such a number.',
        ];
        yield [
            'not-a-choice',
            ['choices' => ['desk', 'soft', 'outside']],
            'This is not one of the choices. Choose one of: desk, soft, outside.',
        ];
        yield [
            'not-a-zone',
            ['zone' => 'Europa/Paris', 'usual' => 'none', 'closest' => 'Europe/Paris'],
            '"Europa/Paris" is not a time zone. Use an IANA name; the closest is Europe/Paris.',
        ];
        yield [
            'not-a-zone',
            ['zone' => 'GB', 'usual' => 'Europe/London', 'closest' => 'GB'],
            '"GB" is not a time zone. Use the usual IANA name for it, Europe/London.',
        ];
        yield [
            'seasons-overlap',
            ['name' => 'Refit', 'other' => 'Winter', 'day' => 1806364800],
            '“Refit” overlaps “Winter”: both hold 30 March 2027. Move the start or the end of one of the two.',
        ];
        yield [
            'of-another-kind',
            ['name' => 'Bookings hours', 'kind' => 'hours', 'allowed' => ['person', 'team']],
            'Bookings hours is hours, which cannot stand here. Choose one of: person, team.',
        ];
        yield [
            'assumption-of-nothing',
            ['text' => 'per_gone', 'no' => 'person'],
            '"per_gone" is nobody in the plan, so this would try nothing. Choose somebody of the plan, or take this assumption away.',
        ];
        yield [
            'in-file',
            ['line' => 3, 'column' => 'site', 'problem' => new Problem('/site', 'no-such-site', ['name' => 'Quay'])],
            'Line 3, site: There is no site “Quay”. Mend it in the file, or leave such lines out.',
        ];
        yield [
            'in-file',
            ['line' => 3, 'column' => 'none', 'problem' => new Problem('', 'no-site-yet')],
            'Line 3: There is no site yet. Mend it in the file, or leave such lines out.',
        ];
    }

    public function testItIsToldWithItsCode(): void
    {
        self::assertSame(
            [
                'pointer' => '/language',
                'code' => 'not-a-language',
                'detail' => '"english" is not a language code.',
                'remedy' => 'Use two letters such as en or fr.',
            ],
            ProblemWords::report(new Problem('/language', 'not-a-language', ['code' => 'english'])),
        );
    }
}
