<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Element\LengthFrom;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\PromptSounds;
use Meandros\Core\Plan\Element\ScriptPart;
use Meandros\Core\Plan\Element\Sound;
use Meandros\Core\Plan\Element\Take;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How a prompt sounds, and for how long. */
final class PromptSoundsTest extends TestCase
{
    private const A = 'aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa';
    private const B = 'bbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbb';
    private const TAKE = ['id' => 't1', 'language' => 'fr', 'part' => 1, 'sound' => self::A, 'milliseconds' => 2001];

    public function testALengthIsThatOfTheTakeElseOfTheMachineElseCounted(): void
    {
        $prompt = self::prompt([
            'scripts' => ['de' => 'eins zwei drei vier fünf', 'en' => 'one two three', 'fr' => 'un deux'],
            'takes' => [self::TAKE],
            'inUse' => ['fr' => 't1'],
            'machine' => [
                'de' => ['sound' => self::B, 'milliseconds' => 5000, 'words' => 'eins zwei drei'],
                'en' => ['sound' => self::B, 'milliseconds' => 3000, 'words' => 'one two three'],
                'fr' => ['sound' => self::B, 'milliseconds' => 900, 'words' => 'un deux'],
            ],
        ]);
        self::assertSame(
            [[2, LengthFrom::Words, null], [3, LengthFrom::Machine, self::B], [3, LengthFrom::Take, self::A]],
            array_map(
                static fn(string $language): array => [
                    $prompt->seconds($language),
                    $prompt->lengthFrom($language),
                    $prompt->sound($prompt->scriptParts($language)[0])?->sha256,
                ],
                ['de', 'en', 'fr'],
            ),
            'The machine read other words in German; 2,001 ms are heard for three seconds.',
        );
        self::assertSame(3, $prompt->longest());
    }

    public function testATakeAloneIsHeardInItsLanguage(): void
    {
        $prompt = self::prompt(['scripts' => ['de' => 'eins'], 'takes' => [self::TAKE], 'inUse' => ['fr' => 't1']]);
        self::assertSame(['fr', 'de', 'de'], array_map($prompt->languageFor(...), ['fr', 'de', 'es']));
        self::assertSame(['de', 'fr'], $prompt->languages());
        $without = self::prompt(['takes' => [self::TAKE]]);
        self::assertSame(['fr', 0], [$without->languageFor('fr'), $without->seconds('fr')]);
        self::assertSame(LengthFrom::Words, $without->lengthFrom('fr'));
    }

    public function testATakeThatComesIsInUseWhereItIsWantedOrTheFirst(): void
    {
        $take = static fn(string $id, string $language): Take => new Take(
            $id,
            new ScriptPart($language),
            new Sound(self::A, 900),
        );
        $sounds = (new PromptSounds())->withTake($take('t1', 'fr'), false);
        self::assertSame(['fr' => 't1'], $sounds->inUse);
        $sounds = $sounds->withTake($take('t2', 'fr'), false);
        self::assertSame(['fr' => 't1'], $sounds->inUse);
        $sounds = $sounds->withTake($take('t3', 'fr'), true)->withTake($take('t4', 'en'), false);
        self::assertEquals(['fr' => 't3', 'en' => 't4'], $sounds->inUse);
        self::assertSame(['t1', 't2', 't3', 't4'], array_keys($sounds->takes));
    }

    public function testItComesOutAsItWentIn(): void
    {
        $json = [
            'id' => 'prm',
            'kind' => 'prompt',
            'name' => 'Closed',
            'scripts' => ['fr' => 'un deux'],
            'voice' => 'Odile',
            'hours' => null,
            'takes' => [
                self::TAKE + [
                    'words' => 'un',
                    'fits' => 'un deux',
                    'voice' => 'Odile',
                    'by' => 'Camille Aubry',
                    'at' => '2026-11-23T10:00:00Z',
                    'note' => 'the second one',
                    'measures' => ['loudness' => -23, 'peak' => -2, 'clipped' => 3, 'silence' => 12],
                ],
            ],
            'inUse' => ['fr' => 't1'],
            'machine' => ['fr' => ['sound' => self::B, 'milliseconds' => 900, 'words' => 'un deux']],
        ];
        self::assertSame(
            $json,
            json_decode(PlanCodec::encodeElement(PlanCodec::element($json)), true, 16, \JSON_THROW_ON_ERROR),
        );
    }

    /** @param array<string, mixed> $more */
    #[DataProvider('mistakes')]
    public function testWhatIsWrongIsSaidAtItsField(array $more, string $pointer, string $code): void
    {
        try {
            self::prompt($more);
            self::fail('It is wrong.');
        } catch (InvalidData $invalid) {
            self::assertSame(
                [[$pointer, $code]],
                array_map(static fn($problem): array => [$problem->pointer, $problem->code], $invalid->problems),
            );
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function mistakes(): iterable
    {
        $take = static fn(array $more): array => ['takes' => [$more + self::TAKE]];
        yield 'no hash' => [$take(['sound' => 'welcome.wav']), '/takes/0/sound', 'not-a-sound'];
        yield 'a hash in capitals' => [$take(['sound' => strtoupper(self::A)]), '/takes/0/sound', 'not-a-sound'];
        yield 'no length' => [$take(['milliseconds' => 0]), '/takes/0/milliseconds', 'not-whole'];
        yield 'a quarter of an hour' => [$take(['milliseconds' => 900_001]), '/takes/0/milliseconds', 'not-whole'];
        yield 'no instant' => [$take(['at' => '2026-11-23 10:00']), '/takes/0/at', 'not-an-instant'];
        yield 'no language' => [$take(['language' => 'french']), '/takes/0/language', 'too-long'];
        yield 'twice' => [['takes' => [self::TAKE, self::TAKE]], '/takes/1/id', 'take-id-twice'];
        yield 'another language in use' => [$take([]) + ['inUse' => ['en' => 't1']], '/inUse/en', 'no-such-take'];
        yield 'one in use that is gone' => [['inUse' => ['fr' => 't1']], '/inUse/fr', 'no-such-take'];
        yield 'a language of the machine' => [
            ['machine' => ['fre' => ['sound' => self::B, 'milliseconds' => 900]]],
            '/machine/fre',
            'not-a-language',
        ];
        yield 'louder than sound' => [
            $take(['measures' => ['loudness' => 21]]),
            '/takes/0/measures/loudness',
            'not-whole',
        ];
    }

    public function testTheTraceSaysHowALengthIsKnown(): void
    {
        $lengths = [];
        foreach (
            ['words' => [], 'machine' => ['machine'], 'take' => ['takes', 'inUse', 'machine']]
            as $from => $parts
        ) {
            $all = [
                'takes' => [['language' => 'en'] + self::TAKE],
                'inUse' => ['en' => 't1'],
                'machine' => ['en' => ['sound' => self::B, 'milliseconds' => 5000, 'words' => 'one two three']],
            ];
            $trace = (new PlanBuilder())
                ->with([
                    'id' => 'prm',
                    'kind' => 'prompt',
                    'name' => 'Hello',
                    'scripts' => ['en' => 'one two three'],
                    ...array_intersect_key($all, array_flip($parts)),
                ])
                ->journey('jrn_main', [['id' => 'say', 'do' => 'say', 'prompt' => 'prm']])
                ->call();
            $said = array_values(
                array_filter($trace->passage->events, static fn($event): bool => 'say' === $event->step),
            );
            self::assertSame($from, $said[0]->happening->because()['lengthFrom'] ?? null);
            $lengths[] = $trace->seconds;
        }
        self::assertSame([2, 5, 3], $lengths);
    }

    /** @param array<string, mixed> $more */
    private static function prompt(array $more): Prompt
    {
        $prompt = PlanCodec::element($more + ['id' => 'prm', 'kind' => 'prompt', 'name' => 'Closed']);
        \assert($prompt instanceof Prompt);

        return $prompt;
    }
}
