<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Ringing;

use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\PythonReference;
use PHPUnit\Framework\TestCase;

/** Teams in three patterns that are tried again for some minutes, beside a simulation written with Debian's python3-simpy3. */
final class SimpyRoundsTest extends TestCase
{
    private const PATTERNS = ['all at once', 'one after the other', 'widening'];

    public function testFourHundredRandomTeamsAgree(): void
    {
        mt_srand(77);
        $cases = array_map(self::random(...), range(1, 400));
        $ours = array_map(static fn (array $case): array => self::outcome(self::call($case)), $cases);
        self::assertSame(PythonReference::ask(__DIR__.'/simpy_rounds.py', $cases), $ours);
        $late = array_filter($ours, static fn (array $one): bool => null !== $one[0] && $one[1] > 40);
        $givenUp = array_filter($ours, static fn (array $one): bool => null === $one[0]);
        self::assertGreaterThan(40, \count($late), 'Many are answered in a later round,');
        self::assertGreaterThan(40, \count($givenUp), 'and many never.');
    }

    /** @return array{pattern: string, limit: int, turn: int, widen: int, minutes: int, members: non-empty-list<array{tier: int, seconds: int|null, answers: int|null}>} */
    private static function random(): array
    {
        $members = [];
        $tier = 1;
        for ($i = 0, $count = mt_rand(1, 4); $i < $count; ++$i) {
            $tier += $i > 0 && 0 === mt_rand(0, 1) ? 1 : 0;
            $members[] = ['tier' => $tier, 'seconds' => 0 === mt_rand(0, 2) ? mt_rand(1, 30) : null, 'answers' => 0 === mt_rand(0, 2) ? mt_rand(0, 80) : null];
        }

        return ['pattern' => self::PATTERNS[mt_rand(0, 2)], 'limit' => mt_rand(1, 40), 'turn' => mt_rand(1, 20), 'widen' => mt_rand(1, 15), 'minutes' => mt_rand(0, 3), 'members' => $members];
    }

    /** @param array{pattern: string, limit: int, turn: int, widen: int, minutes: int, members: non-empty-list<array{tier: int, seconds: int|null, answers: int|null}>} $case */
    private static function call(array $case): Trace
    {
        $builder = new PlanBuilder();
        $team = $assumed = [];
        foreach ($case['members'] as $i => $member) {
            $builder->person('per_'.$i);
            $team[] = ['who' => 'per_'.$i, 'tier' => $member['tier'], 'seconds' => $member['seconds']];
            if (null !== $member['answers']) {
                $assumed[] = ['who' => 'per_'.$i, 'does' => 'answers', 'after' => $member['answers']];
            }
        }

        return $builder->with(['id' => 'team_one', 'kind' => 'team', 'name' => 'One', 'pattern' => $case['pattern'], 'members' => $team, 'memberSeconds' => $case['turn'], 'widenSeconds' => $case['widen']])
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'team_one', 'seconds' => $case['limit'], 'againMinutes' => $case['minutes']]])
            ->call(['phones' => $assumed]);
    }

    /** @return array{int|null, int} */
    private static function outcome(Trace $trace): array
    {
        return [null === $trace->ending->who ? null : (int) substr($trace->ending->who, 4), $trace->seconds];
    }
}
