<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Copy\Copies;
use Meandros\Core\Plan\Copy\Copy;
use Meandros\Core\Plan\Copy\Copyable;
use Meandros\Core\Plan\Dialled;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Integrity\Integrity;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\TestCase;

/** Copies of what the demo plan consists of: what is alike in them, what is not there, and how calls fare with them. */
final class CopiesTest extends TestCase
{
    private static Plan $plan;

    public static function setUpBeforeClass(): void
    {
        self::$plan = PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'));
    }

    public function testACopyIsTheSameUnderAnotherNameButForWhatCanBeDialled(): void
    {
        foreach (self::$plan->elements() as $id => $element) {
            if (!Copies::mayBe($element->kind())) {
                continue;
            }
            [$copy] = Copies::of(self::$plan, [$id => new Copy('a_copy', 'A copy')], []);
            self::assertSame([], Dialled::by($copy));
            self::assertSame([], (new Integrity(self::$plan->with($copy)))->problems(), $element->name());
            if ([] === Dialled::by($element)) {
                $renamed = array_replace($element->toJson(), ['id' => 'a_copy', 'name' => 'A copy']);
                // A journey that goes back to its beginning goes back to its own.
                self::assertSame(str_replace("\"$id\"", '"a_copy"', self::json($renamed)), self::json($copy->toJson()));
            }
        }
    }

    public function testPeopleNumbersAndSettingsAreThereOnce(): void
    {
        $copied = array_filter(Kind::cases(), Copies::mayBe(...));
        self::assertSame(
            [Kind::Number, Kind::Person, Kind::Settings],
            array_values(
                array_udiff(
                    Kind::cases(),
                    $copied,
                    static fn(Kind $one, Kind $other): int => $one->value <=> $other->value,
                ),
            ),
        );
    }

    public function testACallFaresWithCopiesOfAllThatItComesToAsWithTheOriginals(): void
    {
        $fared = 0;
        foreach (self::$plan->all(Journey::class) as $journey) {
            $copies = [];
            foreach (Copies::along(self::$plan, $journey) as $along) {
                $of = $along->element;
                // Where somebody parks a call, the place belongs to a site.
                Kind::Site === $of->kind() || ($copies[$of->id()] = new Copy('c_' . $of->id(), $of->name()));
            }
            $made = Copies::of(self::$plan, $copies, []);
            $plan = self::$plan->withAll(
                array_combine(array_map(static fn(Element $one): string => $one->id(), $made), $made),
            );
            self::assertSame([], (new Integrity($plan))->problems());
            $ids = [];
            foreach ($copies as $id => $copy) {
                $ids["\"$id\""] = "\"$copy->id\"";
            }
            foreach (['2026-11-24T10:00:00', '2026-11-28T22:15:30', '2026-12-25T11:00:00'] as $at) {
                $expected = strtr(self::fares($plan, $journey->id(), $at), $ids);
                self::assertSame($expected, self::fares($plan, 'c_' . $journey->id(), $at), $journey->name());
                ++$fared;
            }
        }
        self::assertGreaterThan(30, $fared);
    }

    public function testCodesOfHoursAreLeftOutAndTheirOrderDoesNotMatter(): void
    {
        $hours = self::$plan->find('hrs_port') ?? throw new \LogicException();
        self::assertGreaterThan(1, \count($hours->toJson()['codes']));
        [$copy] = Copies::of(self::$plan, ['hrs_port' => new Copy('hrs_copy', 'Copy')], []);
        self::assertSame([], $copy->toJson()['codes']);
        self::assertSame($hours->toJson()['specialDays'], $copy->toJson()['specialDays']);
    }

    public function testWhatIsMentionedInsteadIsMentionedByCopiesAlone(): void
    {
        $copies = ['hrs_bookings' => new Copy('hrs_copy', 'Copy')];
        [$copy] = Copies::of(self::$plan, $copies, [
            'sit_ternwick' => 'sit_saint_aubert',
            'hrs_bookings' => 'hrs_port',
        ]);
        self::assertSame('sit_saint_aubert', $copy->toJson()['site']);
        self::assertSame('hrs_copy', $copy->id(), 'What is copied is not mentioned, but its copy.');
    }

    public function testTwoMayTakeEachOthersPlaces(): void
    {
        $plan = self::$plan;
        $two = \array_slice(self::prompts($plan->find('jrn_main') ?? throw new \LogicException()), 0, 2);
        [$copy] = Copies::of(
            $plan,
            ['jrn_main' => new Copy('jrn_copy', 'Copy')],
            [$two[0] => $two[1], $two[1] => $two[0]],
        );
        self::assertSame([$two[1], $two[0]], \array_slice(self::prompts($copy), 0, 2));
    }

    public function testWhatIsUsedIsFoundTheNearestFirstAndNoPeople(): void
    {
        $along = Copies::along(self::$plan, self::$plan->find('jrn_main') ?? throw new \LogicException());
        self::assertSame('jrn_main', $along[0]->element->id());
        self::assertGreaterThan(40, \count($along));
        $told = array_column(array_map(static fn(Copyable $one): array => $one->toJson(), $along), 'without', 'id');
        self::assertSame(['*31', '*32', '*33'], $told['que_bookings']);
        self::assertSame(
            [],
            Copies::of(self::$plan, ['jrn_none' => new Copy('x', 'X')], []),
            'What is not there is not copied.',
        );
        $kinds = array_map(static fn(Copyable $one): Kind => $one->element->kind(), $along);
        self::assertNotContains(Kind::Person, $kinds);
        $ids = array_map(static fn(Copyable $one): string => $one->element->id(), $along);
        self::assertSame($ids, array_unique($ids));
        foreach ($along as $one) {
            self::assertSame([], array_diff($one->mentions, $ids), 'Those that are mentioned are told as well.');
        }
        self::assertSame(\array_slice($ids, 1, \count($along[0]->mentions)), $along[0]->mentions);
    }

    public function testTwoHundredAreLookedForAndEachOnceThoughJourneysGoRound(): void
    {
        $plan = new PlanBuilder();
        $round = ['id' => 'round', 'do' => 'go', 'journey' => 'jrn_main'];
        $steps = [['id' => 'menu', 'do' => 'menu', 'prompt' => null, 'exits' => [['on' => '1', 'steps' => [$round]]]]];
        for ($i = 0; $i < 210; ++$i) {
            $plan->prompt("prm_$i", 2);
            $steps[] = ['id' => "say_$i", 'do' => 'say', 'prompt' => "prm_$i"];
        }
        $plan = $plan->journey('jrn_main', $steps)->plan();
        $ids = array_map(
            static fn(Copyable $one): string => $one->element->id(),
            Copies::along($plan, $plan->find('jrn_main') ?? self::fail()),
        );
        self::assertSame(['jrn_main', 'prm_0', 'prm_1'], \array_slice($ids, 0, 3));
        self::assertCount(200, array_unique($ids));
        self::assertCount(200, $ids);
    }

    public function testWhatCannotMentionTheOtherIsNamed(): void
    {
        $exits = [['on' => 'clr_accounts', 'steps' => []], ['on' => 'clr_france', 'steps' => []]];
        $both = [
            'id' => 'jrn_both',
            'kind' => 'journey',
            'name' => 'Both',
            'steps' => [['id' => 's1', 'do' => 'caller', 'exits' => $exits]],
        ];
        try {
            $plan = self::$plan->with(PlanCodec::element($both));
            Copies::of($plan, ['jrn_both' => new Copy('x', 'X')], ['clr_accounts' => 'clr_france']);
            self::fail('One list of callers would be told apart from itself.');
        } catch (InvalidData $invalid) {
            self::assertSame('/jrn_both/steps/0/exits/1/on', $invalid->problems[0]->pointer);
        }
    }

    /** @return list<string> */
    private static function prompts(Element $element): array
    {
        $ids = array_column($element->references(), 'id');

        return array_values(
            array_unique(array_filter($ids, static fn(string $id): bool => Kind::Prompt === self::$plan->kindOf($id))),
        );
    }

    private static function fares(Plan $plan, string $to, string $at): string
    {
        $call = new TrialCall($to, Caller::parse('+441632960999', 'GB'), Moment::parse($at, 'Europe/London'));
        $trace = (new Router())->trace($plan, $call, new Assumptions());

        return self::json(TraceReport::of($trace, $plan, 'Europe/London'));
    }

    /** @param array<mixed> $data */
    private static function json(array $data): string
    {
        return json_encode($data, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
    }
}
