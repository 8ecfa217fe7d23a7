<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Proof\Endings;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\PythonReference;
use Meandros\Core\Tests\Soak;
use PHPUnit\Framework\TestCase;

/** Every ending of random journeys, beside a reference that was written from the documents and follows every path by itself. */
final class EndingsReferenceTest extends TestCase
{
    private int $steps = 0;
    private PlanBuilder $plan;

    public function testRandomJourneysAgree(): void
    {
        mt_srand(Soak::seed());
        $cases = $ours = [];
        for ($i = 0, $count = Soak::count(300); $i < $count; ++$i) {
            $data = $this->random();
            // Monday at noon: nothing changes for four hours.
            $endings = Endings::of(PlanCodec::fromData($data), PlanBuilder::trial('2026-11-23T12:00'));
            if ([] !== $endings->notTried) {
                // It comes by a journey twice, whose phones then ring twice.
                continue;
            }
            $cases[] = ['elements' => $data['elements'], 'day' => 'mo', 'minute' => 720];
            $found = [];
            foreach ($endings->endings as $one) {
                $found[trim($one->ending->kind->value . ' ' . $one->ending->who)] = [$one->least, $one->most];
            }
            ksort($found);
            $ours[] = $found;
        }
        self::assertGreaterThan(0.9 * $count, \count($cases));
        $theirs = PythonReference::ask(__DIR__ . '/endings_reference.py', $cases);
        foreach ($ours as $i => $found) {
            $expected = $theirs[$i];
            self::assertIsArray($expected);
            ksort($expected);
            self::assertSame($expected, $found, json_encode($cases[$i], \JSON_THROW_ON_ERROR));
        }
    }

    /** @return array<string, mixed> a plan file */
    private function random(): array
    {
        $this->steps = 0;
        $band = static fn(string $from, string $to, string $state): array => [
            'days' => ['mo'],
            'from' => $from,
            'to' => $to,
            'state' => $state,
        ];
        $this->plan = (new PlanBuilder())
            ->mailbox('mbx')
            ->prompt('prm_a', mt_rand(1, 8))
            ->prompt('prm_b', mt_rand(1, 8))
            ->hours('hrs_a', [$band('08:00', '20:00', 'open')])
            ->hours('hrs_b', [$band('06:00', '11:00', 'open'), $band('11:00', '20:00', 'lunch')]);
        $this->plan->journey('jrn_two', [$this->step(3), $this->step(3)]);
        $this->plan->journey('jrn_main', [$this->step(0), $this->step(0), $this->step(1)]);

        return $this->plan->data();
    }

    /** @return array<string, mixed> */
    private function step(int $deep): array
    {
        $id = 's' . ++$this->steps;
        $kinds =
            $deep > 2
                ? ['say', 'ring', 'message', 'end']
                : ['say', 'ring', 'ring', 'message', 'go', 'hours', 'menu', 'menu', 'end'];
        $kind = $kinds[mt_rand(0, \count($kinds) - 1)];
        $prompt = ['prm_a', 'prm_b'][mt_rand(0, 1)];

        return ['id' => $id, 'do' => $kind] +
            match ($kind) {
                'say' => ['prompt' => $prompt],
                'ring' => [
                    'target' => $this->person($id),
                    'seconds' => mt_rand(5, 30),
                    'exits' => $this->exits($deep, ['nobody', 'busy', 'unreachable', 'refused']),
                ],
                'message' => ['mailbox' => 'mbx'],
                'go' => ['journey' => 'jrn_two', 'comesBack' => 0 === $deep && 0 === mt_rand(0, 1)],
                'hours' => [
                    'hours' => ['hrs_a', 'hrs_b'][mt_rand(0, 1)],
                    'exits' => $this->exits($deep, ['open', 'lunch', 'closed']),
                ],
                'menu' => [
                    'prompt' => $prompt,
                    'wait' => mt_rand(1, 6),
                    'tries' => mt_rand(1, 3),
                    'exits' => $this->exits($deep, ['1', '2', '0', 'nothing', 'wrong']),
                ],
                default => [],
            };
    }

    /** Each rings at one place only. */
    private function person(string $id): string
    {
        $this->plan->person('per_' . $id);

        return 'per_' . $id;
    }

    /**
     * @param list<string> $on
     *
     * @return list<array{on: string, steps: list<array<string, mixed>>}>
     */
    private function exits(int $deep, array $on): array
    {
        $exits = [];
        foreach ($on as $one) {
            if (0 !== mt_rand(0, 2)) {
                $steps = [];
                for ($i = mt_rand(0, 1); $i > 0; --$i) {
                    $steps[] = $this->step($deep + 1);
                }
                $exits[] = ['on' => $one, 'steps' => $steps];
            }
        }

        return $exits;
    }
}
