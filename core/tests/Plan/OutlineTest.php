<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Outline;
use PHPUnit\Framework\TestCase;

final class OutlineTest extends TestCase
{
    public function testWhatMakesElementsLongIsLeftOutAndCounted(): void
    {
        $list = ['id' => 'clr_one', 'kind' => 'callers', 'name' => 'Accounts', 'entries' => ''];
        self::assertSame(['entries' => 0], self::outline($list)['sizes']);
        $outline = self::outline(['entries' => "+441632960101\tOne\n+441632960102"] + $list);
        self::assertSame(
            ['id' => 'clr_one', 'kind' => 'callers', 'name' => 'Accounts', 'sizes' => ['entries' => 2]],
            $outline,
        );
    }

    public function testShortElementsStandInItWhole(): void
    {
        $team = ['id' => 'team_one', 'kind' => 'team', 'name' => 'Desk', 'members' => [['who' => 'per_ann']]];
        self::assertEquals(PlanCodec::element($team)->toJson(), self::outline($team));
    }

    public function testEveryFieldThatIsLeftOutIsOneOfItsKind(): void
    {
        $demo = json_decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'), true);
        $seen = 0;
        foreach ($demo['elements'] as $json) {
            $element = PlanCodec::element($json);
            $whole = $element->toJson();
            $outline = Outline::of($element);
            foreach ($element->kind()->leftOut() as $field) {
                self::assertArrayHasKey($field, $whole);
                self::assertArrayNotHasKey($field, $outline);
                ++$seen;
            }
        }
        self::assertGreaterThan(30, $seen);
    }

    /**
     * @param array<string, mixed> $json
     *
     * @return array<string, mixed>
     */
    private static function outline(array $json): array
    {
        return Outline::of(PlanCodec::element($json));
    }
}
