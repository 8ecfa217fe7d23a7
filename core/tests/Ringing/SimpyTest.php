<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Ringing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Plan\Element\RuleStage;
use Meandros\Core\Ringing\AllAtOnce;
use Meandros\Core\Ringing\RingMember;
use Meandros\Core\Ringing\RingPhone;
use Meandros\Core\Ringing\RingSimulation;
use Meandros\Core\Ringing\RingStage;
use Meandros\Core\Tests\PythonReference;
use PHPUnit\Framework\TestCase;

/** Overlapping stages with random answer times, beside a simulation written with Debian's python3-simpy3. */
final class SimpyTest extends TestCase
{
    public function testAThousandRandomSetUpsAgree(): void
    {
        mt_srand(1000);
        $cases = $ours = [];
        for ($i = 0; $i < 1000; ++$i) {
            [$case, $result] = self::random();
            $cases[] = $case;
            $ours[] = $result;
        }
        $theirs = PythonReference::ask(__DIR__.'/simpy_reference.py', $cases);
        self::assertSame($theirs, $ours);
        $taken = array_filter($theirs, static fn (mixed $one): bool => null !== $one);
        self::assertGreaterThan(300, \count($taken), 'Many calls are answered,');
        self::assertLessThan(950, \count($taken), 'and many are not.');
    }

    /** @return array{array{limit: int, alerts: list<array{string, int, int, int|null}>}, array{string, int}|null} */
    private static function random(): array
    {
        $phones = $answers = $assumed = $stages = $alerts = [];
        for ($i = 0, $count = mt_rand(1, 5); $i < $count; ++$i) {
            $id = 'dana/p'.$i;
            $phones[] = new RingPhone($id, 'dana', 'p'.$i, 'desk');
            $answers[$id] = 0 === mt_rand(0, 1) ? mt_rand(0, 30) : null;
            if (null !== $answers[$id]) {
                $assumed[] = ['who' => $id, 'does' => 'answers', 'after' => $answers[$id]];
            }
        }
        $limit = mt_rand(5, 60);
        for ($i = 0, $count = mt_rand(1, 4); $i < $count; ++$i) {
            $named = array_values(array_filter($phones, static fn (): bool => 0 === mt_rand(0, 1)));
            $named = [] === $named ? [$phones[0]] : $named;
            $stage = new RuleStage(array_map(static fn (RingPhone $phone): string => substr($phone->id, 5), $named), mt_rand(0, 30), mt_rand(1, 30));
            $stages[] = $stage;
            foreach ($phones as $phone) {
                if (\in_array(substr($phone->id, 5), $stage->phones, true)) {
                    $alerts[] = [$phone->id, $stage->after, $stage->after + $stage->seconds, $answers[$phone->id]];
                }
            }
        }
        $result = (new RingSimulation(Assumptions::fromData(['phones' => $assumed])))->run([RingMember::inStages('dana', $phones, array_map(static fn (RuleStage $stage): RingStage => RingStage::ofPhones($stage, 'dana'), $stages))], new AllAtOnce(), $limit);

        return [['limit' => $limit, 'alerts' => $alerts], null === $result->answeredBy ? null : [$result->answeredBy->id, $result->seconds]];
    }
}
