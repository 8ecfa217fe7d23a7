<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Integrity\Integrity;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** After an edit its elements are looked at alone: that finds what a look at the whole plan does. */
final class IntegrityAfterTest extends TestCase
{
    /**
     * @param array<string, array<string, mixed>|null> $changes fields in place of an element's; null: it goes
     * @param list<string>                             $found   "element pointer code"
     */
    #[DataProvider('edits')]
    public function testWhatIsFoundAfterAnEdit(array $changes, array $found): void
    {
        $plan = self::demo();
        $changed = [];
        foreach ($changes as $id => $fields) {
            $changed[$id] =
                null === $fields ? null : PlanCodec::element($fields + ($plan->find($id)?->toJson() ?? []), true);
        }
        $after = $plan->withAll($changed);
        $told = self::told((new Integrity($after))->problemsAfter($changed));
        self::assertSame($found, $told);
        self::assertSame([] === $told, [] === self::told((new Integrity($after))->problems()));
    }

    /** @return iterable<string, array{array<string, array<string, mixed>|null>, list<string>}> */
    public static function edits(): iterable
    {
        yield 'nothing is wrong' => [
            ['num_lost' => ['target' => 'jrn_reception'], 'num_groups' => ['target' => 'jrn_lost']],
            [],
        ];
        yield 'two change extensions' => [
            ['per_dana' => ['extension' => '202'], 'per_oluwaseun' => ['extension' => '201']],
            [],
        ];
        yield 'two have one' => [
            ['per_dana' => ['extension' => '288'], 'per_oluwaseun' => ['extension' => '288']],
            ['per_dana /extension extension-taken', 'per_oluwaseun /extension extension-taken'],
        ];
        yield 'what others use goes' => [
            ['team_lost' => null],
            ['exp_lost_sundays /promise/who not-in-plan', 'jrn_lost /steps/1/target not-in-plan'],
        ];
        yield 'it goes, and what used it' => [['num_fax' => null, 'jrn_fax' => null], []];
        yield 'a target that is none' => [
            ['num_lost' => ['target' => 'prm_all_busy']],
            ['num_lost /target of-another-kind'],
        ];
    }

    public function testWhatIsTakenIsSaidWithWhoHasIt(): void
    {
        $plan = self::demo();
        $plan = $plan->with(PlanCodec::element(['extension' => '202'] + ($plan->find('per_dana')?->toJson() ?? [])));
        self::assertSame(
            ['extension' => '202', 'name' => 'Dana Whitlock'],
            (new Integrity($plan))->problems()['per_oluwaseun'][0]->arguments,
        );
    }

    /**
     * @param array<string, list<Problem>> $problems
     *
     * @return list<string>
     */
    private static function told(array $problems): array
    {
        $told = [];
        foreach ($problems as $id => $ofElement) {
            foreach ($ofElement as $problem) {
                $told[] = $id . ' ' . $problem->pointer . ' ' . $problem->code;
            }
        }
        sort($told);

        return array_values(array_unique($told));
    }

    private static function demo(): Plan
    {
        return PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'));
    }
}
