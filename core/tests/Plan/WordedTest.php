<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Worded;
use PHPUnit\Framework\TestCase;

final class WordedTest extends TestCase
{
    /** Texts in which nobody looks for words: names are in the outline, keys are chosen, and what repeats others. */
    private const OTHERS = '~^/name$|^/zone$|/(shows|default|on|state|states/\d+|exceptions/\d+/state)$|^/(phones|takes|entries)/~';

    public function testWhateverTheSchemaLetsPeopleWordIsFound(): void
    {
        $fields = [];
        foreach ((new SchemaPlaces())->all() as [$json, $pointer, $schema, $data]) {
            $element = PlanCodec::element($json);
            $isChosen = \in_array($pointer, array_column($element->references(), 'pointer'), true);
            $isText = \is_string($data) && '' !== $data && isset($schema['not']);
            if ($isText && !$isChosen && 1 !== preg_match(self::OTHERS, $pointer)) {
                $found = array_column(Worded::in($element), 'text', 'pointer');
                self::assertSame($data, $found[$pointer] ?? null, $pointer . ' of ' . $json['id']);
                $fields[$json['kind'] . preg_replace('~^.*/steps|\d~', '', $pointer)] = true;
            }
        }
        self::assertGreaterThan(9, \count($fields));
    }

    public function testATextIsToldWithItsStep(): void
    {
        $plan = PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'));
        $labels = Worded::in($plan->find('jrn_bookings') ?? self::fail());

        self::assertContainsEquals(
            ['/steps/1/exits/0/label', 'New booking', 's9'],
            array_map(static fn(Worded $one): array => [$one->pointer, $one->text, $one->step], $labels),
        );
    }

    public function testAccentsAndCapitalsDoNotCount(): void
    {
        self::assertSame(['before' => 'Le port est ', 'match' => 'fermé', 'after' => '.'], self::seen('FERME'));
        self::assertSame(['before' => 'Le port est ', 'match' => 'fermé', 'after' => '.'], self::seen(' fermé '));
        self::assertNull(self::seen('ouvert'));
        self::assertNull(self::seen(' '));
    }

    public function testTextsAreKeptInPlainLettersEachOnce(): void
    {
        $prompt = new Prompt(new About('prm_one', 'One'), [
            'en' => 'FERME, a bord.',
            'fr' => 'Fermé, à bord.',
            'de' => 'Zu.',
        ]);
        self::assertSame(['ferme, a bord.', 'zu.'], Worded::plainly($prompt));
    }

    /** Letters that are two in plain letters are shown whole, and it is the first place that is shown. */
    public function testWhatIsShownBeginsAndEndsWithTheWords(): void
    {
        self::assertSame(['before' => '', 'match' => 'Œuf', 'after' => ', œuf'], self::seen('oeuf', 'Œuf, œuf'));
        self::assertSame(['before' => 'Stra', 'match' => 'ße', 'after' => ''], self::seen('sse', 'Straße'));
    }

    public function testOfALongTextThereIsSomeOnEitherSide(): void
    {
        $seen = self::seen('port', str_repeat('a', 41) . 'port' . str_repeat('b', 81));

        self::assertSame('…' . str_repeat('a', 40), $seen['before'] ?? '');
        self::assertSame(str_repeat('b', 80) . '…', $seen['after'] ?? '');
        self::assertSame(
            ['before' => str_repeat('a', 40), 'match' => 'port', 'after' => str_repeat('b', 80)],
            self::seen('port', str_repeat('a', 40) . 'port' . str_repeat('b', 80)),
        );
    }

    /** @return array{before: string, match: string, after: string}|null */
    private static function seen(string $words, string $script = 'Le port est fermé.'): ?array
    {
        $prompt = new Prompt(new About('prm_one', 'One'), ['fr' => $script]);

        return Worded::in($prompt)[0]->excerpt($words);
    }
}
