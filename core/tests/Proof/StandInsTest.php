<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Caller;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\StandIns;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Callers who stand for all who are told apart on the way from a number. */
final class StandInsTest extends TestCase
{
    /**
     * @param array<string, string> $lists    entries by list
     * @param list<string>          $asked    lists
     * @param list<string>          $expected
     */
    #[DataProvider('lists')]
    public function testWhoCalls(array $lists, array $asked, array $expected): void
    {
        $plan = self::plan($lists);
        $number = $plan->get(Number::class, 'num_main');
        self::assertNotNull($number);
        self::assertSame(
            $expected,
            array_map(static fn(Caller $one): string => $one->text, (new StandIns($plan))->of($asked, $number)),
        );
    }

    /** @return iterable<string, array{array<string, string>, list<string>, list<string>}> */
    public static function lists(): iterable
    {
        yield 'nobody is told apart' => [[], [], ['+447700900123']];
        yield 'one of each list, beside somebody else' => [
            ['used' => "+33*\n+441632960701", 'unused' => '+34*'],
            [],
            ['+447700900123', '+33000000000'],
        ];
        yield 'somebody who is in no list' => [
            ['used' => '+44*', 'unused' => '+33*'],
            [],
            ['+12025550143', '+44000000000'],
        ];
        yield 'of these lists, whatever the number comes to' => [
            ['used' => '+33*', 'unused' => "+441632960701\n+441632960702"],
            ['unused', 'gone'],
            ['+441632960701'],
        ];
        yield 'withheld' => [['used' => 'withheld'], ['used'], ['withheld']];
        yield 'inside' => [['used' => 'internal'], ['used'], [Caller::inside()->text]];
        yield 'mobiles' => [['used' => 'mobile'], [], ['+441632960998', '+447700900123']];
        yield 'a country' => [['used' => 'FR'], [], ['+447700900123', '+33639980123']];
        $none = implode(
            "\n",
            \array_slice(
                [
                    'AT',
                    'BE',
                    'CH',
                    'DE',
                    'DK',
                    'ES',
                    'FI',
                    'IE',
                    'IT',
                    'LU',
                    'NL',
                    'NO',
                    'PL',
                    'PT',
                    'SE',
                    'AU',
                    'NZ',
                    'JP',
                    'GR',
                    'CZ',
                ],
                0,
                19,
            ),
        );
        yield 'nobody of countries that have no stand-in, until one does' => [
            ['used' => "$none\n+33*"],
            ['used'],
            ['+33000000000'],
        ];
        yield 'as far as twenty entries' => [['used' => "$none\nHU\nUS"], ['used'], []];
        yield 'nobody is left' => [['used' => "+1*\n+33*\n+44*"], [], ['withheld', '+10000000000']];
    }

    /** @param array<string, string> $lists */
    private static function plan(array $lists): Plan
    {
        $builder = new PlanBuilder();
        foreach ($lists as $id => $entries) {
            $builder->with(['id' => $id, 'kind' => 'callers', 'name' => $id, 'entries' => $entries]);
        }
        $exits = isset($lists['used']) ? [['on' => 'used', 'steps' => [['id' => 's2', 'do' => 'end']]]] : [];

        return $builder->journey('jrn_main', [['id' => 's1', 'do' => 'caller', 'exits' => $exits]])->plan();
    }
}
