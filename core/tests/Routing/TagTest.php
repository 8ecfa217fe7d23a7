<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Call\Urgency;
use Meandros\Core\Routing\Shown;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\EventWords;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\TestCase;

/** What a call carries: it adds up, the last holds, and whoever rings sees it. */
final class TagTest extends TestCase
{
    public function testTagsAddUpAndTheLastHolds(): void
    {
        $plan = self::plan(
            ['label' => 'Freight', 'urgency' => 'urgent', 'note' => 'Ask for the waybill'],
            ['label' => 'Freight, late', 'language' => 'fr', 'tone' => 'Bell'],
        );
        $trace = $plan->call();
        self::assertSame(
            ['label' => 'Freight, late', 'language' => 'fr', 'tone' => 'Bell', 'note' => 'Ask for the waybill'],
            $trace->shown->toJson(),
        );
        self::assertSame(
            'From here on: shown as “Freight”, urgency: urgent, with the note “Ask for the waybill”',
            (new EventWords($plan->plan()))->what($trace->passage->events[1]->happening),
        );
        self::assertSame('urgent', Urgency::Urgent->value);
    }

    public function testWhoeverRingsSeesIt(): void
    {
        $plan = self::plan(['label' => 'Freight'], ['tone' => 'Bell', 'note' => 'Waybill']);
        $reason = static fn(PlanBuilder $plan): string => TraceReport::of(
            $plan->call(),
            $plan->plan(),
            'Europe/London',
        )['events'][\count($plan->call()->passage->events) - 2]['reason'];
        self::assertSame(
            'The limit of 20 s was reached. Not answered: Ann. They get “Freight”, the ring tone “Bell”, the note “Waybill”.',
            $reason($plan),
        );
        self::assertSame('The limit of 20 s was reached. Not answered: Ann.', $reason(self::plan()));
    }

    /** A call that comes back in by a number of ours still carries what was put on it; what was dialled is the other number's otherwise. */
    public function testItSurvivesAForwardToOneOfOurNumbers(): void
    {
        $two = [
            'id' => 'num_two',
            'kind' => 'number',
            'name' => 'Second line',
            'number' => '+441632960102',
            'site' => 'sit_harbour',
            'language' => 'fr',
            'target' => 'jrn_ring',
        ];
        $plan = static fn(array ...$tags): PlanBuilder => self::plan(...$tags)
            ->with($two)
            ->journey('jrn_main', [
                ...self::steps(...$tags),
                ['id' => 'on', 'do' => 'forward', 'number' => '+441632960102'],
            ])
            ->journey('jrn_ring', [['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]]);
        $shown = static fn(array ...$tags): Shown => $plan(...$tags)->call([
            'phones' => [['who' => 'ann', 'does' => 'answers', 'after' => 3]],
        ])->shown;
        self::assertSame(['Second line', 'fr', null], [$shown()->label, $shown()->language, $shown()->tone]);
        $tagged = $shown(['label' => 'Freight', 'tone' => 'Bell']);
        self::assertSame(['Freight', 'fr', 'Bell'], [$tagged->label, $tagged->language, $tagged->tone]);
    }

    public function testALineWithoutNumbersOfCallersWithholdsThem(): void
    {
        $plan = static fn(bool $tells): PlanBuilder => (new PlanBuilder())
            ->with([
                'id' => 'num_main',
                'kind' => 'number',
                'name' => 'Main line',
                'number' => PlanBuilder::NUMBER,
                'site' => 'sit_harbour',
                'language' => 'en',
                'target' => 'jrn_main',
                'tellsCaller' => $tells,
            ])
            ->with(['id' => 'clr', 'kind' => 'callers', 'name' => 'Known', 'entries' => 'GB'])
            ->with(['id' => 'clr_hidden', 'kind' => 'callers', 'name' => 'Hidden', 'entries' => 'withheld'])
            ->journey('jrn_main', [
                [
                    'id' => 'who',
                    'do' => 'caller',
                    'exits' => [['on' => 'clr', 'steps' => []], ['on' => 'clr_hidden', 'steps' => []]],
                ],
            ]);
        $exit = static fn(bool $tells, string $from): ?string => $plan($tells)->call(from: $from)->passage->visits[0]
            ->exit;
        self::assertSame(
            ['clr', 'clr_hidden', 'clr_hidden', null],
            [$exit(true, '01632 960555'), $exit(false, '01632 960555'), $exit(true, ''), $exit(false, '201')],
        );
        self::assertSame(
            'Its calls go to jrn_main. Its line delivers no numbers of callers.',
            (new EventWords($plan(false)->plan()))->because(
                $plan(false)->call(from: '01632 960555')->passage->events[0]->happening,
            ),
        );
    }

    /** @param array<string, string> $tags */
    private static function plan(array ...$tags): PlanBuilder
    {
        return (new PlanBuilder())
            ->person('ann')
            ->journey('jrn_main', [
                ...self::steps(...$tags),
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20],
            ]);
    }

    /**
     * @param array<string, string> $tags
     *
     * @return list<array<string, string>>
     */
    private static function steps(array ...$tags): array
    {
        return array_map(
            static fn(array $tag, int $i): array => $tag + ['id' => 'tag' . $i, 'do' => 'tag'],
            array_values($tags),
            array_keys(array_values($tags)),
        );
    }
}
