<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Queueing;

use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\AgentOrder;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\QueueAgents;
use Meandros\Core\Plan\Element\QueueAsking;
use Meandros\Core\Plan\Element\QueueMember;
use Meandros\Core\Queueing\Agent;
use Meandros\Core\Queueing\Dispatcher;
use Meandros\Core\Queueing\Occupation;
use Meandros\Core\Tests\PythonReference;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The dispatcher driven call after call: beside a queue on SimPy (Debian) it must agree on every call, and it must wait as Erlang's formula says. */
final class SimpyTest extends TestCase
{
    public function testEveryCallIsAnsweredWhenAndByWhomTheReferenceSays(): void
    {
        $random = new Randomizer(new Mt19937(20261126));
        $scenarios = [];
        foreach (['longest idle first', 'in order', 'fewest calls first', 'least talk time first'] as $order) {
            foreach ([[[1, 1, 1], true], [[1, 1, 2, 2], true], [[1, 1, 2, 3], false]] as [$tiers, $spills]) {
                $calls = [];
                for ($at = $i = 0; $i < 250; ++$i) {
                    $calls[] = [($at += $random->getInt(0, 60)), $random->getInt(5, 180)];
                }
                $scenarios[] = [
                    'order' => $order,
                    'widen' => 25,
                    'spills' => $spills,
                    'notes' => 7,
                    'tiers' => $tiers,
                    'calls' => $calls,
                ];
            }
        }
        $expected = PythonReference::ask(__DIR__ . '/queue_reference.py', $scenarios);
        $compared = 0;
        foreach ($scenarios as $i => $scenario) {
            $answered = self::drive($scenario);
            self::assertSame(
                $expected[$i],
                $answered,
                json_encode(array_diff_key($scenario, ['calls' => 1]), \JSON_THROW_ON_ERROR),
            );
            $compared += \count($answered);
        }
        self::assertGreaterThanOrEqual(2000, $compared);
    }

    /**
     * Erlang C: with Poisson arrivals and exponential times, the share of callers who wait, and for how long on average. By the
     * recurrence for Erlang B (Teletraffic Engineering Handbook, ITU-D; from memory, as are the figures of the table).
     */
    public function testCallersWaitAsErlangSays(): void
    {
        foreach ([[5.0, 5, 0.2849], [10.0, 12, 0.1197], [2.0, 4, 0.0952]] as [$traffic, $agents, $blocked]) {
            self::assertEqualsWithDelta($blocked, self::erlangB($traffic, $agents), 0.00006);
        }
        foreach ([[2.0, 3], [4.0, 5], [4.0, 6], [8.0, 10], [10.0, 12], [17.0, 20]] as $i => [$traffic, $agents]) {
            $lost = self::erlangB($traffic, $agents);
            $waits = ($agents * $lost) / ($agents - $traffic * (1 - $lost));
            $mean = $waits / ($agents - $traffic);
            [$share, $shareError, $seconds, $secondsError] = self::measure($traffic, $agents, $i + 1);
            self::assertEqualsWithDelta(
                $waits,
                $share,
                $shareError,
                \sprintf('The share that waits, %.0f erlang, %d agents.', $traffic, $agents),
            );
            self::assertEqualsWithDelta(
                $mean,
                $seconds,
                $secondsError,
                \sprintf('The mean wait in mean times, %.0f erlang, %d agents.', $traffic, $agents),
            );
        }
    }

    /** Erlang B: nobody waits. Whoever finds no agent free is lost. */
    public function testCallsAreLostAsErlangSays(): void
    {
        foreach ([[2.0, 3], [5.0, 5], [4.0, 6], [8.0, 10], [10.0, 12], [17.0, 20]] as $i => [$traffic, $agents]) {
            [$lost] = self::patient($traffic, $agents, 0.0, 40 + $i);
            self::assertEqualsWithDelta(
                self::erlangB($traffic, $agents),
                $lost[0],
                $lost[1],
                \sprintf('The share that is lost, %.0f erlang, %d agents.', $traffic, $agents),
            );
        }
    }

    /**
     * Erlang A: callers give up after an exponential time. The share that gives up and the share that waits, from the balance
     * of its states (C. Palm's model, as in O. Garnett, A. Mandelbaum, M. Reiman, Designing a Call Center with Impatient
     * Customers, 2002; from memory).
     */
    public function testImpatientCallersGiveUpAsErlangSays(): void
    {
        foreach (
            [[2.0, 3, 1.0], [5.0, 5, 2.0], [6.0, 5, 0.5], [8.0, 10, 1.0], [12.0, 12, 0.25], [20.0, 18, 1.0]]
            as $i => [$traffic, $agents, $patience]
        ) {
            [$givesUp, $waits] = self::erlangA($traffic, $agents, $patience);
            [$lost, $waited] = self::patient($traffic, $agents, $patience, 60 + $i);
            self::assertEqualsWithDelta(
                $givesUp,
                $lost[0],
                $lost[1],
                \sprintf('The share that gives up, %.0f erlang, %d agents.', $traffic, $agents),
            );
            self::assertEqualsWithDelta(
                $waits,
                $waited[0],
                $waited[1],
                \sprintf('The share that waits, %.0f erlang, %d agents.', $traffic, $agents),
            );
        }
    }

    /** @return array{float, float} the share that gives up, and the share that waits; patience in mean times of a call */
    private static function erlangA(float $traffic, int $agents, float $patience): array
    {
        $sum = $state = 1.0;
        $waiting = $queued = 0.0;
        for ($n = 1; $n <= 20 * $agents; ++$n) {
            $state *= $traffic / (min($n, $agents) + max(0, $n - $agents) / $patience);
            $sum += $state;
            $waiting += $n >= $agents ? $state : 0.0;
            $queued += max(0, $n - $agents) * $state;
        }

        return [$queued / $sum / $patience / $traffic, $waiting / $sum];
    }

    /** @return array{array{float, float}, array{float, float}} the share of calls that are lost and the share that waits, each with the half-width of its 99 % interval */
    private static function patient(float $traffic, int $agents, float $patience, int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $exponential = static fn(float $mean): float => -$mean * log(1 - $random->getInt(0, 2 ** 53 - 1) / 2 ** 53);
        $mean = 100_000;
        $dispatcher = self::dispatcher([
            'order' => 'longest idle first',
            'widen' => 30,
            'spills' => true,
            'notes' => 0,
            'tiers' => array_fill(0, $agents, 1),
        ]);
        [$batches, $size] = [20, 3000];
        $lost = $waited = array_fill(0, $batches + 1, 0);
        $arrives = 0.0;
        $now = 0;
        for ($i = 0; $i < ($batches + 1) * $size; ++$i) {
            $arrives += $exponential($mean / $traffic);
            $arrival = (int) $arrives;
            $gone = $arrival + ($patience > 0 ? (int) $exponential($patience * $mean) : 0);
            $handling = max(1, (int) round($exponential($mean)));
            $now = max($now, $arrival);
            $who = [];
            while ($now <= $gone && [] === ($who = $dispatcher->candidates($now, $now - $arrival))) {
                $next = $dispatcher->next($now, $now - $arrival);
                if (null === $next || $next > $gone) {
                    break;
                }
                $now = $next;
            }
            $lost[intdiv($i, $size)] += [] === $who ? 1 : 0;
            $waited[intdiv($i, $size)] += [] === $who || $now > $arrival ? 1 : 0;
            [] === $who || $dispatcher->take($who[0], $now, $handling);
        }
        // The first batch warms up.
        $share = static fn(array $counts): array => self::interval(
            array_map(static fn(int $count): float => $count / $size, \array_slice($counts, 1)),
        );

        return [$share($lost), $share($waited)];
    }

    /** @return array{float, float, float, float} the share of calls that wait and the mean wait in units of the mean time, each with the half-width of its 99 % interval, by batch means */
    private static function measure(float $traffic, int $agents, int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $exponential = static fn(float $mean): float => -$mean * log(1 - $random->getInt(0, 2 ** 53 - 1) / 2 ** 53);
        // Fine enough that whole seconds do not show.
        $mean = 100_000;
        $calls = [];
        $at = 0.0;
        [$batches, $size] = [20, 3000];
        for ($i = 0; $i < ($batches + 1) * $size; ++$i) {
            $at += $exponential($mean / $traffic);
            $calls[] = [(int) $at, max(1, (int) round($exponential($mean)))];
        }
        $answered = self::drive([
            'order' => 'longest idle first',
            'widen' => 30,
            'spills' => true,
            'notes' => 0,
            'tiers' => array_fill(0, $agents, 1),
            'calls' => $calls,
        ]);
        $shares = $means = [];
        for ($batch = 1; $batch <= $batches; ++$batch) {
            $waits = array_map(
                static fn(int $i): int => $answered[$i][0] - $calls[$i][0],
                range($batch * $size, ($batch + 1) * $size - 1),
            );
            $shares[] = \count(array_filter($waits)) / $size;
            $means[] = array_sum($waits) / $size / $mean;
        }

        return [...self::interval($shares), ...self::interval($means)];
    }

    /**
     * @param list<float> $batches
     *
     * @return array{float, float}
     */
    private static function interval(array $batches): array
    {
        $count = \count($batches);
        $mean = array_sum($batches) / $count;
        $variance = array_sum(array_map(static fn(float $one): float => ($one - $mean) ** 2, $batches)) / ($count - 1);

        // Student's t for 19 degrees of freedom, 99 % on both sides.
        return [$mean, 2.861 * sqrt($variance / $count)];
    }

    private static function erlangB(float $traffic, int $agents): float
    {
        $blocked = 1.0;
        for ($n = 1; $n <= $agents; ++$n) {
            $blocked = ($traffic * $blocked) / ($n + $traffic * $blocked);
        }

        return $blocked;
    }

    /**
     * @param array{order: string, widen: int, spills: bool, notes: int, tiers: list<int>, calls: list<array{int, int}>} $scenario
     *
     * @return list<array{int, int}> when each call is answered, and by which agent
     */
    private static function drive(array $scenario): array
    {
        $dispatcher = self::dispatcher($scenario);
        $answered = [];
        $now = 0;
        foreach ($scenario['calls'] as [$arrival, $seconds]) {
            // Nobody is asked for a call while one before it waits.
            $now = max($now, $arrival);
            while ([] === ($who = $dispatcher->candidates($now, $now - $arrival))) {
                $now = $dispatcher->next($now, $now - $arrival) ?? throw new \LogicException('Nobody is ever free.');
            }
            $dispatcher->take($who[0], $now, $seconds);
            $answered[] = [$now, (int) substr($who[0]->who, 4)];
        }

        return $answered;
    }

    /** @param array{order: string, widen: int, spills: bool, notes: int, tiers: list<int>} $scenario */
    private static function dispatcher(array $scenario): Dispatcher
    {
        $members = $agents = [];
        foreach ($scenario['tiers'] as $i => $tier) {
            $members[] = new QueueMember('per_' . $i, $tier);
            $agents[] = new Agent('per_' . $i, $tier, true, new Occupation(0, 0));
        }
        $queue = new Queue(
            new About('que', 'Queue'),
            new QueueAgents(
                $members,
                new QueueAsking(
                    AgentOrder::from($scenario['order']),
                    widenSeconds: $scenario['widen'],
                    spillsOver: $scenario['spills'],
                    notesSeconds: $scenario['notes'],
                ),
            ),
        );

        return new Dispatcher($queue, $agents, 0);
    }
}
