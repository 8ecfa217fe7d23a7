<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\LedBy;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which numbers lead to an element, worked out by hand. */
final class LedByTest extends TestCase
{
    /** @param list<string> $numbers */
    #[DataProvider('elements')]
    public function testWhichNumbersLeadThere(string $id, array $numbers): void
    {
        $number = static fn(string $name, string $digits, ?string $target): array => [
            'id' => 'num_' . $name,
            'kind' => 'number',
            'name' => $name,
            'number' => '+4416329601' . $digits,
            'site' => 'sit_harbour',
            'language' => 'en',
            'target' => $target,
        ];
        $plan = (new PlanBuilder())
            ->mailbox('mbx')
            ->person('ann', ['desk'], 'mbx')
            ->person('ben')
            ->team('team', ['ann'])
            ->prompt('prm', 2)
            ->with($number('b', '01', 'team'))
            ->with($number('c', '02', null))
            ->with($number('a', '03', 'jrn_front'))
            ->journey('jrn_front', [['id' => 's1', 'do' => 'go', 'journey' => 'jrn_main']])
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'say', 'prompt' => 'prm'],
                ['id' => 's2', 'do' => 'ring', 'target' => 'team', 'seconds' => 5],
                ['id' => 's3', 'do' => 'forward', 'number' => '+447700900123', 'shows' => 'num_c'],
            ]);
        self::assertSame(
            $numbers,
            array_map(static fn(Number $one): string => $one->name(), LedBy::of($plan->plan(), $id)),
        );
    }

    /** @return iterable<array{string, list<string>}> */
    public static function elements(): iterable
    {
        yield ['team', ['Main line', 'a', 'b']];
        yield ['mbx', ['Main line', 'a', 'b']];
        yield ['prm', ['Main line', 'a']];
        yield ['jrn_front', ['a']];
        yield ['ben', []];
        // It is shown there: nobody comes to it.
        yield ['num_c', []];
        yield ['sit_harbour', ['Main line', 'a', 'b']];
    }
}
