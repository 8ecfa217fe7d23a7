<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Alike;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use PHPUnit\Framework\TestCase;

/** Numbers that are not told apart fare the same: of sites, the clock matters, and lines where there are any. */
final class AlikeTest extends TestCase
{
    public function testOfSitesWithoutLinesTheClockMatters(): void
    {
        $alike = static fn(Plan $plan): array => array_map(
            static fn(array $pair): bool => (new Alike($plan))->of(self::number($plan, $pair[0])) ===
                (new Alike($plan))->of(self::number($plan, $pair[1])),
            [['num_one', 'num_two'], ['num_one', 'num_paris'], ['num_one', 'num_french'], ['num_one', 'num_open']],
        );
        self::assertSame([true, false, false, false], $alike(self::plan()->plan()));
        $line = ['id' => 'line_two', 'kind' => 'line', 'name' => 'Two', 'site' => 'sit_two', 'channels' => 2];
        self::assertSame([false, false, false, false], $alike(self::plan()->with($line)->plan()));
    }

    public function testTheNumbersOfTheDemoAtTwoSitesWithoutLinesFareTheSame(): void
    {
        $demo = PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'));
        $element = static fn(array $data): Element => PlanCodec::storedElement(
            json_encode($data, \JSON_THROW_ON_ERROR),
        );
        $plan = $demo;
        $pairs = [];
        foreach ($demo->all(Site::class) as $site) {
            foreach (['_one', '_two'] as $twin) {
                $data = ['id' => $site->id() . $twin, 'parkPlaces' => []] + $site->toJson();
                $plan = $plan->with($element($data));
            }
        }
        foreach ($demo->all(Number::class) as $i => $number) {
            foreach (['_one', '_two'] as $j => $twin) {
                $data =
                    [
                        'id' => $number->id() . $twin,
                        'number' => \sprintf('+44114496%04d', 2 * $i + $j),
                        'block' => null,
                        'site' => $number->line->site . $twin,
                    ] + $number->toJson();
                $plan = $plan->with($element($data));
                $pairs[$number->id()][] = $number->id() . $twin;
            }
        }
        $from = Moment::parse('2026-12-20T00:00', 'Europe/London');
        $fares = new Fares($plan, $from, $from + 30 * 86400);
        foreach ($pairs as [$one, $two]) {
            [$first, $second] = [self::number($plan, $one), self::number($plan, $two)];
            self::assertSame((new Alike($plan))->of($first), (new Alike($plan))->of($second));
            // A year that is worked out anew: what is kept is kept by what is alike.
            $anew = new Fares($plan, $from, $from + 30 * 86400);
            foreach ($fares->callers([], $first) as $caller) {
                foreach ([null, Behaviour::Busy] as $phones) {
                    [$was, $is] = [
                        $fares->coverage($first, $caller, [], $phones),
                        $anew->coverage($second, $caller, [], $phones),
                    ];
                    $keys = static fn(Coverage $coverage): array => array_column($coverage->courses, 'key');
                    self::assertSame([$was->starts, $keys($was)], [$is->starts, $keys($is)], $one);
                }
            }
        }
    }

    private static function number(Plan $plan, string $id): Number
    {
        $number = $plan->get(Number::class, $id);
        self::assertNotNull($number);

        return $number;
    }

    private static function plan(): PlanBuilder
    {
        $site = static fn(string $id, string $zone): array => [
            'id' => $id,
            'kind' => 'site',
            'name' => $id,
            'zone' => $zone,
            'country' => 'GB',
            'language' => 'en',
        ];
        $number = static fn(string $id, string $last, string $site, string $language, string $target): array => [
            'id' => $id,
            'kind' => 'number',
            'name' => $id,
            'number' => '+44163296090' . $last,
            'site' => $site,
            'language' => $language,
            'target' => $target,
        ];

        return (new PlanBuilder())
            ->mailbox('mbx')
            ->mailbox('box')
            ->with($site('sit_one', 'Europe/London'))
            ->with($site('sit_two', 'Europe/London'))
            ->with($site('sit_paris', 'Europe/Paris'))
            ->with($number('num_one', '1', 'sit_one', 'en', 'mbx'))
            ->with($number('num_two', '2', 'sit_two', 'en', 'mbx'))
            ->with($number('num_paris', '3', 'sit_paris', 'en', 'mbx'))
            ->with($number('num_french', '4', 'sit_one', 'fr', 'mbx'))
            ->with($number('num_open', '5', 'sit_one', 'en', 'box'));
    }
}
