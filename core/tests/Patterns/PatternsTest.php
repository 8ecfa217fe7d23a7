<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Patterns;

use Meandros\Core\Check\Checks;
use Meandros\Core\Patterns\Patterns;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\FindingWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Journeys that begin from a pattern: whole at once, and what a call to each meets. */
final class PatternsTest extends TestCase
{
    private const OF_KIND = [
        Kind::Hours->value => 'hrs',
        Kind::Person->value => 'ann',
        Kind::Team->value => 'team',
        Kind::Queue->value => 'que',
        Kind::Journey->value => 'jrn_next',
        Kind::Prompt->value => 'prm',
        Kind::Mailbox->value => 'mbx',
    ];

    /** @param array<string, string> $answers */
    #[DataProvider('journeys')]
    public function testWhatACallMeets(string $pattern, array $answers, string $sentence): void
    {
        $plan = self::plan();
        $journey = Input::read(
            ['pattern' => $pattern, 'name' => 'New', 'answers' => $answers],
            static fn(Input $in): ?Journey => Patterns::read($in, $plan->plan(), 'jrn_main'),
        );
        self::assertInstanceOf(Journey::class, $journey);
        $with = $plan->with($journey->toJson());
        self::assertSame($sentence, AnswerSentence::of($with->call(), $with->plan()));
    }

    /** @return iterable<string, array{string, array<string, string>, string}> */
    public static function journeys(): iterable
    {
        $message = 'then leaves a message with mbx.';
        yield 'closed' => [
            'open or closed',
            ['hours' => 'hrs', 'who' => 'ann', 'closed' => 'prm', 'mailbox' => 'mbx'],
            'Hears “prm”, ' . $message,
        ];
        yield 'closed, with nothing said' => [
            'open or closed',
            ['hours' => 'hrs', 'who' => 'ann', 'mailbox' => 'mbx'],
            'Leaves a message with mbx.',
        ];
        yield 'open' => [
            'open or closed',
            ['hours' => 'hrs_open', 'who' => 'ann', 'mailbox' => 'mbx'],
            'Rings Ann for 20 s, ' . $message,
        ];
        yield 'a menu' => [
            'menu of three',
            ['prompt' => 'prm', 'one' => 'ann', 'two' => 'team', 'three' => 'mbx', 'otherwise' => 'jrn_next'],
            'Presses nothing at “prm”, then the plan ends the call.',
        ];
        yield 'a person, then a team' => [
            'person then team',
            ['person' => 'ann', 'team' => 'team', 'mailbox' => 'mbx'],
            'Rings Ann for 15 s, rings team for 20 s, ' . $message,
        ];
        yield 'a person, then a queue' => [
            'person then team',
            ['person' => 'ann', 'team' => 'que', 'mailbox' => 'mbx'],
            'Rings Ann for 15 s, waits in que for 5 min, ' . $message,
        ];
        yield 'ring, then greet' => [
            'ring then greet',
            ['who' => 'team', 'greeting' => 'prm', 'mailbox' => 'mbx'],
            'Rings team for 30 s, hears “prm”, ' . $message,
        ];
        yield 'a language' => [
            'language choice',
            ['prompt' => 'prm', 'next' => 'jrn_next'],
            'Presses nothing at “prm”, then the plan ends the call.',
        ];
    }

    /** Whatever fits may be chosen: what comes of it can be published at once. */
    #[DataProvider('names')]
    public function testEveryAnswerThatFits(string $name): void
    {
        $plan = self::plan();
        foreach (Patterns::all()[$name]->asks() as $varied) {
            foreach ($varied->kinds as $kind) {
                $answers = [];
                foreach (Patterns::all()[$name]->asks() as $ask) {
                    $answers[$ask->key] = self::OF_KIND[($ask->key === $varied->key ? $kind : $ask->kinds[0])->value];
                }
                $journey = Input::read(
                    ['pattern' => $name, 'name' => 'New', 'answers' => $answers],
                    static fn(Input $in): ?Journey => Patterns::read($in, $plan->plan(), 'jrn_main'),
                );
                self::assertNotNull($journey);
                foreach (Checks::of($journey, $plan->plan()->with($journey)) as $finding) {
                    self::assertFalse($finding->blocksPublishing, FindingWords::message($finding));
                }
            }
        }
    }

    public function testEachLanguageOfThePromptHasAKeyFromOneOn(): void
    {
        $plan = self::plan();
        $plan->with(['scripts' => ['fr' => 'Français, deux.', 'en' => 'English, one.']] + $plan->element('prm'));
        $journey = Input::read(
            ['pattern' => 'language choice', 'name' => 'New', 'answers' => ['prompt' => 'prm']],
            static fn(Input $in): ?Journey => Patterns::read($in, $plan->plan(), 'jrn_main'),
        );
        $exits = $journey?->steps->steps[0]->exits()->items ?? [];
        self::assertSame(['1' => 'en', '2' => 'fr'], array_column($exits, 'label', 'on'));
    }

    public function testALongNameIsCutToFitAKey(): void
    {
        $plan = self::plan()->journey('jrn_next', []);
        $plan->with(['name' => str_repeat('Freight', 12)] + $plan->element('jrn_next'));
        $answers = [
            'prompt' => 'prm',
            'one' => 'jrn_next',
            'two' => 'team',
            'three' => 'mbx',
            'otherwise' => 'jrn_next',
        ];
        $journey = Input::read(
            ['pattern' => 'menu of three', 'name' => 'New', 'answers' => $answers],
            static fn(Input $in): ?Journey => Patterns::read($in, $plan->plan(), 'jrn_main'),
        );
        self::assertInstanceOf(Journey::class, $journey);
        PlanCodec::element($journey->toJson());
        self::assertSame(substr(str_repeat('Freight', 12), 0, 80), $journey->steps->steps[0]->exits()->items[0]->label);
    }

    /** @return iterable<string, array{string}> */
    public static function names(): iterable
    {
        foreach (array_keys(Patterns::ALL) as $name) {
            yield $name => [$name];
        }
    }

    /**
     * @param array<string, mixed> $data
     * @param list<string>         $pointers
     */
    #[DataProvider('wrong')]
    public function testWhatIsMissingIsToldAtItsField(array $data, array $pointers): void
    {
        try {
            Input::read($data, static fn(Input $in): ?Journey => Patterns::read($in, self::plan()->plan(), 'jrn_main'));
            self::fail('It is taken.');
        } catch (InvalidData $invalid) {
            self::assertSame(
                $pointers,
                array_map(static fn(Problem $one): string => $one->pointer, $invalid->problems),
            );
        }
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function wrong(): iterable
    {
        $whole = ['person' => 'ann', 'team' => 'team', 'mailbox' => 'mbx'];
        yield 'no name' => [['pattern' => 'person then team', 'name' => ' ', 'answers' => $whole], ['/name']];
        yield 'no such pattern' => [['pattern' => 'star', 'name' => 'New', 'answers' => $whole], ['/pattern']];
        yield 'something missing' => [
            ['pattern' => 'person then team', 'name' => 'New', 'answers' => ['person' => 'ann', 'team' => '']],
            ['/answers/team', '/answers/mailbox'],
        ];
        yield 'another kind, and nothing at all' => [
            [
                'pattern' => 'person then team',
                'name' => 'New',
                'answers' => ['person' => 'mbx', 'team' => 'nobody'] + $whole,
            ],
            ['/answers/person', '/answers/team'],
        ];
        yield 'something else' => [
            ['pattern' => 'person then team', 'name' => 'New', 'answers' => $whole + ['hours' => 'hrs']],
            ['/answers/hours'],
        ];
    }

    private static function plan(): PlanBuilder
    {
        $open = [
            [
                'days' => ['mo', 'tu', 'we', 'th', 'fr', 'sa', 'su'],
                'from' => '00:00',
                'to' => '24:00',
                'state' => 'open',
            ],
        ];

        return (new PlanBuilder())
            ->prompt('prm', 4)
            ->mailbox('mbx')
            ->person('ann')
            ->person('ben')
            ->team('team', ['ben'])
            ->hours('hrs', [])
            ->hours('hrs_open', $open)
            ->with(['id' => 'que', 'kind' => 'queue', 'name' => 'que', 'members' => [['who' => 'ann']]])
            ->journey('jrn_next', [['id' => 'end', 'do' => 'end']]);
    }
}
