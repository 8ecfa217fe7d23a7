<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Behind;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BehindTest extends TestCase
{
    /** @param list<string> $found */
    #[DataProvider('numbers')]
    public function testWhatCallsMayComeTo(string $number, array $found): void
    {
        $plan = (new PlanBuilder())
            ->mailbox('mbx')
            ->mailbox('mbx_else')
            ->prompt('prm', 2)
            ->person('ann', ['desk'], 'mbx')
            ->person('ben')
            ->with([
                'id' => 'cid',
                'kind' => 'person',
                'name' => 'Cid',
                'extension' => '214',
                'site' => 'sit_harbour',
                'shows' => 'num_main',
                'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
            ])
            ->journey('jrn_main', [
                [
                    'id' => 'say',
                    'do' => 'say',
                    'prompt' => 'prm',
                    'exits' => [['on' => '1', 'steps' => [['id' => 'go', 'do' => 'go', 'journey' => 'jrn_two']]]],
                ],
            ])
            ->journey('jrn_two', [['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]])
            ->journey('jrn_else', [['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx_else']])
            ->with([
                'id' => 'num_block',
                'kind' => 'number',
                'name' => 'Block',
                'number' => '+441632960200',
                'block' => ['last' => '+441632960299', 'extension' => '200'],
                'site' => 'sit_harbour',
                'target' => 'mbx_else',
            ])
            ->plan();
        $element = $plan->get(Number::class, $number);
        self::assertInstanceOf(Number::class, $element);
        $behind = array_keys(Behind::of($plan, $element)->elements());
        sort($behind);
        self::assertSame($found, $behind);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function numbers(): iterable
    {
        yield 'journeys, and who is in them' => [
            'num_main',
            ['ann', 'jrn_main', 'jrn_two', 'mbx', 'num_main', 'prm', 'sit_harbour'],
        ];
        yield 'those whom a block is for, without the number that they show' => [
            'num_block',
            ['cid', 'mbx_else', 'num_block', 'sit_harbour'],
        ];
    }
}
