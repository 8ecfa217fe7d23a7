<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\Prompt;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** 150 words a minute is common practice: two words and a half in a second. */
final class PromptTest extends TestCase
{
    #[DataProvider('scripts')]
    public function testTheEstimate(string $script, int $seconds): void
    {
        self::assertSame($seconds, (new Prompt(new About('prm_x', 'X'), ['en' => $script]))->seconds('en'));
    }

    /** @return iterable<string, array{string, int}> */
    public static function scripts(): iterable
    {
        yield 'no words' => ['', 0];
        yield 'one word lasts a whole second' => ['Hello', 1];
        yield 'five words' => ['one two three four five', 2];
        yield 'six words are rounded up' => ['one two three four five six', 3];
        yield 'a minute' => [implode(' ', array_fill(0, 150, 'word')), 60];
        yield 'hyphens and line breaks part words' => ["check-in\ncloses  now", 2];
        yield 'dashes are no words' => ['one – two', 1];
        yield 'nor are stops by themselves' => ['one … two !', 1];
        yield 'a script without spaces, by characters' => ['お電話ありがとうございます。', 3];
        yield 'one character lasts a whole second' => ['港', 1];
        yield 'both' => ['Ternwick Ferries です', 2];
        yield 'a date, as long as it usually is' => ['{date}', 2];
        yield 'a name and a place in a queue' => ['{name} {position}', 2];
        yield 'an opening and a wait' => ['{opening} {wait}', 3];
        yield 'three names' => ['{name} {name} {name}', 3];
        yield 'accents are letters' => ['à bientôt où ça', 2];
    }

    public function testLanguagesAreListedByTheirCode(): void
    {
        $prompt = new Prompt(new About('prm_x', 'X'), ['fr' => 'Fermé', 'de' => '', 'en' => 'Closed']);
        self::assertSame(['de', 'en', 'fr'], $prompt->languages());
    }

    public function testTheLanguageHeard(): void
    {
        $prompt = new Prompt(new About('prm_x', 'X'), ['en' => '', 'fr' => 'Bonjour']);
        self::assertSame(['fr', 'fr'], [$prompt->languageFor('en'), $prompt->languageFor('fr')]);
        self::assertSame('de', (new Prompt(new About('prm_x', 'X'), []))->languageFor('de'));
        $many = new Prompt(new About('prm_x', 'X'), ['de' => 'Guten Tag', 'en' => 'Hello', 'fr' => '']);
        self::assertSame(['en', 'de'], [$many->languageFor('fr'), $many->languageFor('de')], 'English before others.');
        self::assertSame(
            'es',
            (new Prompt(new About('prm_x', 'X'), ['de' => '', 'es' => 'Hola', 'it' => 'Ciao']))->languageFor('fr'),
            'Then the first that has words.',
        );
        self::assertSame(0, $prompt->seconds('de'));
    }
}
