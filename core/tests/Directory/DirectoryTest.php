<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Directory;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Spelled;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Routing\ToldSteps;
use Meandros\Core\Wording\EventWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Names spelled on the keys, worked out by hand: the prompt takes 10 s, a name that is read out 3 s with its key. */
final class DirectoryTest extends TestCase
{
    use ToldSteps;

    private const NAMES = [
        'dana' => 'Dana Whitlock',
        'wim' => 'Wim Whitby',
        'zoe' => 'Zoë Whittaker',
        'ines' => 'Inès Le Goff',
        'jean' => 'Jean-Pierre Smith-Jones',
        'ola' => 'Ola O’Brien',
        'desk' => 'Reception',
        'lars' => 'Lars Ødegård',
    ];

    /** The letters of ITU-T E.161: 2 ABC, 3 DEF, 4 GHI, 5 JKL, 6 MNO, 7 PQRS, 8 TUV, 9 WXYZ (the table from memory; the words by hand). */
    #[DataProvider('words')]
    public function testWordsOnTheKeys(string $word, string $keys): void
    {
        self::assertSame($keys, Keypad::spell($word));
    }

    /** @return iterable<array{string, string}> */
    public static function words(): iterable
    {
        yield ['abcdefghijklmnopqrstuvwxyz', '22233344455566677778889999'];
        yield ['Whitlock', '94485625'];
        yield ['Zoë', '963'];
        yield ['Ødegård', '6334273'];
        yield ['Straße', '7872773'];
        yield ['Łukasz', '585279'];
        yield ['Γιάννης', '4426637'];
        yield ['O’Brien', '627436'];
        yield ['24/7', ''];
    }

    /** @param list<string> $last */
    #[DataProvider('spellings')]
    public function testEveryPartOfAName(string $id, string $first, array $last): void
    {
        $person = self::plan([])->plan()->get(Person::class, $id);
        self::assertInstanceOf(Person::class, $person);
        self::assertSame(
            [$first, $last],
            [Spelled::keys($person, Spelled::FIRST)[0] ?? '', Spelled::keys($person, Spelled::LAST)],
        );
    }

    /** @return iterable<array{string, string, list<string>}> */
    public static function spellings(): iterable
    {
        yield ['dana', '3262', ['94485625']];
        yield ['ines', '4637', ['534633', '4633']];
        yield ['jean', '5326743773', ['7648456637', '56637']];
        yield ['ola', '652', ['627436']];
        yield ['desk', '732378466', ['732378466']];
    }

    /**
     * @param array<string, mixed>                        $step
     * @param list<string|array<string, string|int|null>> $keys
     * @param list<string>                                $told
     */
    #[DataProvider('calls')]
    public function testWhatHappens(array $step, array $keys, array $told): void
    {
        self::assertSame($told, self::told(self::plan($step), ['keys' => $keys]));
    }

    /** @return iterable<string, array{array<string, mixed>, list<string|array<string, string|int|null>>, list<string>}> */
    public static function calls(): iterable
    {
        $ring = static fn(int $second, string $name): array => [
            $second . ' Reaches ' . $name,
            $second . ' Rings ' . $name . ' for 25 s',
            $second + 25 . ' Leaves a message with mbx',
        ];
        $nothing = ['0 Spells nothing for 5 s', '15 Leaves a message with mbx'];
        // After the second key one is left: L-E, 5-3; the keys after it are not waited for.
        yield 'nobody else is spelled so' => [
            [],
            ['534633'],
            ['0 Presses 53 for Inès Le Goff', ...$ring(11, 'Inès Le Goff')],
        ];
        yield 'a word is spelled' => [
            [],
            [['says' => 'Le Goff', 'after' => 10]],
            ['0 Presses 53 for Inès Le Goff', ...$ring(11, 'Inès Le Goff')],
        ];
        yield 'by a later part of the name' => [
            [],
            ['46'],
            ['0 Presses 46 for Inès Le Goff', ...$ring(11, 'Inès Le Goff')],
        ];
        yield 'while the prompt plays' => [
            [],
            [['press' => '62', 'after' => 4]],
            ['0 Presses 62 for Ola O’Brien', ...$ring(5, 'Ola O’Brien')],
        ];
        // 9-4-4: Whitlock, Whitby and Whittaker.
        yield 'three are read out' => [
            [],
            ['944', '2'],
            ['0 Presses 944, which 3 people have', '12 Presses 2 for Wim Whitby', ...$ring(21, 'Wim Whitby')],
        ];
        yield 'one is chosen while they are' => [
            [],
            ['944', ['press' => '3', 'after' => 3]],
            ['0 Presses 944, which 3 people have', '12 Presses 3 for Zoë Whittaker', ...$ring(15, 'Zoë Whittaker')],
        ];
        yield 'none of them' => [
            [],
            ['944', '9'],
            ['0 Presses 944, which 3 people have', '12 Hears names and presses 9', '21 Leaves a message with mbx'],
        ];
        yield 'nothing is chosen' => [
            [],
            ['944'],
            [
                '0 Presses 944, which 3 people have',
                '12 Hears names and presses nothing',
                '26 Leaves a message with mbx',
            ],
        ];
        // Only two may be read out, so that the third letter is not enough; with the fifth, 94482, there is one.
        yield 'more letters where too many are left' => [
            ['most' => 2],
            ['94482'],
            ['0 Presses 94482 for Wim Whitby', ...$ring(14, 'Wim Whitby')],
        ];
        yield 'only the first ones are read out' => [
            ['most' => 2],
            ['944#', '2'],
            ['0 Presses 944, which 3 people have', '13 Presses 2 for Wim Whitby', ...$ring(19, 'Wim Whitby')],
        ];
        yield 'nobody' => [[], ['777'], ['0 Presses 77, and nobody is found', '11 Leaves a message with mbx']];
        yield 'nobody, with an exit' => [
            ['exits' => [['on' => 'nobody', 'steps' => [['id' => 'no', 'do' => 'end']]]]],
            ['777'],
            ['0 Presses 77, and nobody is found'],
        ];
        yield 'nobody, then somebody' => [
            ['tries' => 2],
            ['777', '62'],
            ['0 Presses 77, and nobody is found', '11 Presses 62 for Ola O’Brien', ...$ring(22, 'Ola O’Brien')],
        ];
        yield 'a single key is too little' => [
            [],
            ['9'],
            ['0 Presses 9, and nobody is found', '13 Leaves a message with mbx'],
        ];
        yield 'nothing' => [[], [], $nothing];
        yield 'too late' => [[], [['press' => '62', 'after' => 15]], $nothing];
        yield 'help' => [
            ['exits' => [['on' => '0', 'steps' => [['id' => 'no', 'do' => 'end']]]]],
            ['0'],
            ['0 Presses 0'],
        ];
        yield 'first names' => [
            ['part' => 'first'],
            ['946'],
            ['0 Presses 94 for Wim Whitby', ...$ring(11, 'Wim Whitby')],
        ];
        yield 'are not looked at otherwise' => [
            [],
            ['32'],
            ['0 Presses 32, and nobody is found', '11 Leaves a message with mbx'],
        ];
        // 9-6: Zoë, by her first name; the Whit- are 9-4.
        yield 'either' => [
            ['part' => 'either'],
            ['96'],
            ['0 Presses 96 for Zoë Whittaker', ...$ring(11, 'Zoë Whittaker')],
        ];
        yield 'one who is not listed' => [
            [],
            ['63'],
            ['0 Presses 63, and nobody is found', '11 Leaves a message with mbx'],
        ];
        yield 'unless named in the step' => [
            ['dial' => ['scope' => 'some', 'people' => ['lars', 'ola']]],
            ['63'],
            ['0 Presses 63, and nobody is found', '11 Leaves a message with mbx'],
        ];
        // Only Dana has an extension, 944; without them the same keys are three people.
        yield 'an extension wins' => [
            ['extensions' => true],
            ['944#'],
            [
                '0 Presses 944 for Dana Whitlock',
                '12 Reaches extension 944, Dana Whitlock',
                '12 Rings Dana Whitlock for 25 s',
                '37 Leaves a message with mbx',
            ],
        ];
    }

    public function testWhyIsSaid(): void
    {
        $plan = self::plan([]);
        $why = static fn(string $keys): string => (new EventWords($plan->plan()))->because(
            $plan->call(['keys' => [$keys]])->passage->events[1]->happening,
        );
        self::assertSame('Nobody else is spelled so. Try 1 of 1.', $why('62'));
        self::assertSame(
            'These letters are enough. Dana Whitlock, Wim Whitby, Zoë Whittaker. Try 1 of 1.',
            $why('944'),
        );
        $read = static fn(string $keys, int $most): string => (new EventWords(self::plan([])->plan()))->because(
            self::plan(['most' => $most])->call(['keys' => [$keys, '1']])->passage->events[2]->happening,
        );
        self::assertSame('Dana Whitlock, Wim Whitby, Zoë Whittaker are read out within 9 s.', $read('944', 3));
        self::assertSame(
            'Dana Whitlock, Wim Whitby are read out within 6 s. 1 more begin so and are not read out.',
            $read('944#', 2),
        );
        self::assertSame('No key more came for a while. Try 1 of 1.', $why('9'));
        self::assertSame('Nobody who may be reached here is spelled so. Try 1 of 1.', $why('77'));
    }

    /** @param array<string, mixed> $step */
    private static function plan(array $step): PlanBuilder
    {
        $plan = (new PlanBuilder())->prompt('prm', 10)->mailbox('mbx');
        foreach (self::NAMES as $id => $name) {
            $plan->with([
                'id' => $id,
                'kind' => 'person',
                'name' => $name,
                'extension' => 'dana' === $id ? '944' : '',
                'site' => 'sit_harbour',
                'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
                'listing' => ['on' => 'lars' !== $id, 'reason' => 'lars' === $id ? 'On the quay all day' : ''],
            ]);
        }

        return $plan->journey('jrn_main', [
            $step + ['id' => 'it', 'do' => 'directory', 'prompt' => 'prm', 'tries' => 1, 'extensions' => false],
            ['id' => 'last', 'do' => 'message', 'mailbox' => 'mbx'],
        ]);
    }
}
