<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Proof\Endings;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Calls go on alike after ringing, but for what callers hear of it. */
final class WhoRangTest extends TestCase
{
    /**
     * Callers ring Ann, and leave a message: the second place is there for all of them, unless a greeting parts them.
     *
     * @param array<string, string> $greetings
     */
    #[TestWith([[], 2])]
    #[TestWith([['unreachable' => 'long'], 3])]
    #[TestWith([['busy' => 'long'], 3])]
    #[TestWith([['busy' => 'long', 'unreachable' => 'short'], 4])]
    public function testAGreetingOfItsOwnIsAPlaceOfItsOwn(array $greetings, int $places): void
    {
        $builder = (new PlanBuilder())->person('ann')->prompt('short', 2)->prompt('long', 6)->mailbox('mbx');
        $plan = $builder
            ->with(['greeting' => 'short', 'greetings' => $greetings] + $builder->element('mbx'))
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20],
                ['id' => 's2', 'do' => 'message', 'mailbox' => 'mbx'],
            ])
            ->plan();
        self::assertSame($places, Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'))->places);
    }

    /** Of blanks, only the name depends on who rang: Ann's takes one word, Ben's ten, and who presses nothing hears the label. */
    #[TestWith(['hello {date} all of you', 4, 25])]
    #[TestWith(['hello {name} all of you', 6, 27])]
    public function testANameIsHeardOfWhoeverRang(string $words, int $places, int $most): void
    {
        $builder = (new PlanBuilder())->person('ann')->person('ben');
        $ring = static fn(string $who): array => ['id' => $who, 'do' => 'ring', 'target' => $who, 'seconds' => 20];
        $plan = $builder
            ->with(['name' => 'Benjamin Longfellow of the Harbour Office at the End'] + $builder->element('ben'))
            ->with(['id' => 'prm', 'kind' => 'prompt', 'name' => 'prm', 'scripts' => ['de' => '', 'en' => $words]])
            ->journey('jrn_main', [
                [
                    'id' => 's0',
                    'do' => 'menu',
                    'prompt' => null,
                    'wait' => 2,
                    'tries' => 1,
                    'exits' => [['on' => '1', 'steps' => [$ring('ann')]], ['on' => '2', 'steps' => [$ring('ben')]]],
                ],
                ['id' => 's3', 'do' => 'say', 'prompt' => 'prm'],
            ])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        $over = array_values(
            array_filter($endings->endings, static fn($one): bool => EndingKind::RanOut === $one->ending->kind),
        );
        self::assertSame([$places, $most], [$endings->places, $over[0]->most ?? null]);
    }

    /** A number that Ben's mobile only shows is not one that calls come to: what is said behind it parts none. */
    public function testANumberIsOnlyShown(): void
    {
        $builder = (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->prompt('short', 2)
            ->prompt('long', 6)
            ->mailbox('mbx');
        $mobile = [
            'id' => 'mobile',
            'type' => 'outside',
            'label' => 'Mobile',
            'number' => '+447700900123',
            'shows' => 'num_shown',
        ];
        $plan = $builder
            ->with(['greetings' => ['busy' => 'long', 'unreachable' => 'short']] + $builder->element('mbx'))
            ->with([
                'id' => 'num_shown',
                'kind' => 'number',
                'name' => 'Shown',
                'number' => '+441632960555',
                'site' => 'sit_harbour',
                'target' => 'jrn_shown',
            ])
            ->with(['phones' => [$mobile]] + $builder->element('ben'))
            ->journey('jrn_shown', [['id' => 's3', 'do' => 'message', 'mailbox' => 'mbx']])
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20],
                ['id' => 's2', 'do' => 'ring', 'target' => 'ben', 'seconds' => 20],
            ])
            ->plan();
        self::assertSame(2, Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'))->places);
    }
}
