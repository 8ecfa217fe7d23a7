<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Tests\Soak;
use Meandros\Core\Wording\ProblemWords;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;

/**
 * The published schema and the reader give the same verdict on generated plans: the demo, an element at a time, with
 * something changed. Rules that no schema of one field can say are listed in docs/plan-format.md, and here.
 */
final class SchemaTest extends TestCase
{
    private const DEMO = __DIR__ . '/../../../demo/ternwick-ferries.json';

    /** What the reader alone may refuse, by the words of its complaint. */
    private const ACROSS_FIELDS = [
        'does not come after',
        'has not as many digits',
        'A block of',
        'The block needs',
        'A beginning is no block',
        'have this id',
        'has the id',
        'have the id',
        'two states',
        'have this key',
        'are called',
        'stands here twice',
        'is kept twice',
        'is used twice',
        'in the team twice',
        'in the queue twice',
        'stand here twice',
        'not both',
        'two special days',
        'phones of this person',
        'is not in the plan',
        'cannot stand here',
        'is in the plan already',
        'belongs to',
        'has no phone',
        'has no holiday',
        'There is no phone',
        'is not a state of these hours',
        'is our own number',
        'The date',
        'before it starts',
        'longer than ten years',
        'overlaps',
        'One of the two dates',
        'None of its days',
        'is a weekday already',
        'comes before the first',
        'is not a time here',
        'is not a phone number',
        'is too short',
        'is too long for a phone',
        'has the wrong length',
        'has an unknown country code',
        'is an emergency number',
        'holds an extension',
        'is not a time zone',
        'is not a country',
        'is not an e-mail address',
        'No state of these hours is chosen',
        'These are states of no hours',
        'waits for tier',
        'leaves the queue already',
        'is in this list twice',
        'go round here for ever',
        'nested more than',
        'This list is too long',
        'is nothing that a call can go to here',
    ];

    public function testTheDemoFollowsTheSchema(): void
    {
        foreach (self::elements() as $element) {
            self::assertTrue(self::schemaTakes($element), json_encode($element, \JSON_THROW_ON_ERROR));
        }
    }

    public function testSchemaAndReaderAgreeOnGeneratedElements(): void
    {
        mt_srand(Soak::seed());
        $elements = self::elements();
        $seen = ['both take it' => 0, 'both refuse it' => 0, 'the reader alone refuses it' => 0];
        for ($i = 0, $count = Soak::count(2000); $i < $count; ++$i) {
            $changed = self::change($elements[array_rand($elements)]);
            $schema = self::schemaTakes($changed);
            $complaints = self::complaints($changed);
            $across =
                [] !== $complaints &&
                [] ===
                    array_filter($complaints, static fn(string $complaint): bool => !self::isAcrossFields($complaint));
            $verdict = match (true) {
                $schema && [] === $complaints => 'both take it',
                $schema && $across => 'the reader alone refuses it',
                !$schema && [] !== $complaints => 'both refuse it',
                default => \sprintf(
                    'the schema %s it, the reader says: %s',
                    $schema ? 'takes' : 'refuses',
                    implode(' | ', $complaints),
                ),
            };
            self::assertArrayHasKey(
                $verdict,
                $seen,
                json_encode(
                    $changed,
                    \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR,
                ),
            );
            ++$seen[$verdict];
        }
        // About one in a hundred is refused by the reader alone.
        foreach ($seen as $verdict => $times) {
            self::assertGreaterThan($count / 200, $times, $verdict);
        }
    }

    public function testSpacesAroundAPhoneOfAStageAreRefusedByBoth(): void
    {
        $person = [
            'id' => 'ann',
            'kind' => 'person',
            'name' => 'Ann',
            'extension' => '',
            'site' => 'sit_harbour',
            'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
            'rules' => [
                ['id' => 'one', 'name' => 'One', 'stages' => [['phones' => [' desk'], 'after' => 0, 'seconds' => 20]]],
            ],
        ];
        self::assertFalse(self::schemaTakes($person));
        self::assertStringContainsString('There is no phone " desk".', implode(' ', self::complaints($person)));
    }

    private static function isAcrossFields(string $complaint): bool
    {
        foreach (self::ACROSS_FIELDS as $words) {
            if (str_contains($complaint, $words)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<array<string, mixed>> */
    private static function elements(): array
    {
        $demo = json_decode((string) file_get_contents(self::DEMO), true, 128, \JSON_THROW_ON_ERROR);
        \assert(\is_array($demo) && \is_array($demo['elements']));

        return array_values(array_filter($demo['elements'], \is_array(...)));
    }

    /** @return list<string> what the reader says of an element by itself */
    private static function complaints(mixed $element): array
    {
        try {
            PlanCodec::element($element);

            return [];
        } catch (InvalidData $invalid) {
            return array_map(
                static fn($problem): string => $problem->pointer . ': ' . ProblemWords::message($problem),
                $invalid->problems,
            );
        }
    }

    private static function schemaTakes(mixed $element): bool
    {
        static $validator = null;
        if (!($validator instanceof Validator)) {
            $validator = new Validator();
            $validator
                ->resolver()
                ?->registerFile(
                    'https://meandros.example/plan.schema.json',
                    __DIR__ . '/../../schema/plan.schema.json',
                );
        }
        // An empty object and an empty list look the same in PHP: these are the objects that may be empty.
        $json = (string) preg_replace(
            '/"(scripts|inUse|machine|when|next|greetings|years)":\[\]/',
            '"$1":{}',
            json_encode($element, \JSON_PRESERVE_ZERO_FRACTION | \JSON_THROW_ON_ERROR),
        );

        return $validator
            ->validate(json_decode($json), 'https://meandros.example/plan.schema.json#/$defs/element')
            ->isValid();
    }

    /** Something somewhere is changed, missing, of another type, or there although nobody knows it. */
    private static function change(mixed $data): mixed
    {
        if (!\is_array($data) || [] === $data || 0 === mt_rand(0, 25)) {
            return self::other($data);
        }
        $key = array_rand($data);
        if (!array_is_list($data)) {
            $act = mt_rand(0, 11);
            if ($act < 2) {
                unset($data[$key]);

                return $data;
            }
            if (2 === $act) {
                return $data + [
                    ['surprise', 'id', 'phones', 'seconds', 'years', 'after', 'calls', 'setUp'][mt_rand(0, 7)] => 1,
                ];
            }
        } elseif (0 === mt_rand(0, 5)) {
            $data[] = $data[$key];

            return $data;
        }
        $data[$key] = self::change($data[$key]);

        return $data;
    }

    private static function other(mixed $value): mixed
    {
        $text = \is_string($value) ? $value : 'x';
        $number = \is_int($value) ? $value : 5;

        return [
            null,
            '',
            ' ',
            -1,
            0,
            1,
            $number + 1,
            $number * 1.0,
            $number + 0.5,
            1000000,
            true,
            false,
            [],
            [1],
            ['x'],
            'x',
            ' ' . $text,
            $text . "\n",
            $text . 'x',
            strtoupper($text),
            str_repeat('a', 81),
            str_repeat('ä', 201),
            str_repeat('b', 4001),
            'per_dana',
            'per_dana/desk',
            '+447700900123',
            '+44',
            'end the call',
            '2026-02-30',
            '1899-12-31',
            '2026-12-24',
            '12-24',
            '09:00',
            '24:00',
            '25:00',
            '48:01',
            'mo',
            '1',
            'nobody',
            "a\u{7}b",
            'Europe/Paris',
            'CET',
        ][mt_rand(0, 41)];
    }
}
