<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Wording;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\DialCode;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Proof\Course;
use Meandros\Core\Routing\Router;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Proof\DrawnAssumptions;
use Meandros\Core\Tests\Proof\DrawnCalls;
use Meandros\Core\Tests\Told;
use Meandros\Core\Wording\CourseWords;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\TestCase;

/**
 * What is told of calls, field by field and word by word, kept in a file beside this: calls of the demo and of drawn plans, as many
 * as it takes to come to everything that is told of any of them. After a change on purpose MEANDROS_TELL=1 writes it anew; what
 * differs is read before it is committed.
 */
final class TracesToldTest extends TestCase
{
    private const FILE = __DIR__ . '/traces.en.txt';
    private const DRAWN = 30;
    private const BLANK = 'nothing chosen yet in a step of the kind ';
    private const MISSED = 'an agent who misses calls of a queue that signs out after one';
    private const MOMENTS = ['2026-11-23T10:30', '2026-11-23T12:40', '2026-11-28T20:00', '2026-12-25T11:00'];

    private static ?Plan $demo = null;

    public function testWhatIsToldIsWhatWasToldBefore(): void
    {
        false === getenv('MEANDROS_TELL') || file_put_contents(self::FILE, self::chosen());
        $kept = (string) file_get_contents(self::FILE);
        preg_match_all('/^# (.*):((?: \d+)+)$/m', $kept, $calls, \PREG_SET_ORDER);
        self::assertNotEmpty($calls);
        $told = '';
        foreach ($calls as [, $name, $places]) {
            $told .= self::written($name, array_map(intval(...), explode(' ', trim($places))));
        }
        self::assertSame($kept, $told);
    }

    /** Of each call what those before it do not tell. */
    private static function chosen(): string
    {
        $seen = [];
        $chosen = '';
        foreach (self::names() as $name) {
            $places = [];
            foreach (self::told($name) as $place => $part) {
                $shapes = array_fill_keys(self::shapes($part), true);
                [] === array_diff_key($shapes, $seen) || ($places[] = $place);
                $seen += $shapes;
            }
            $chosen .= [] === $places ? '' : self::written($name, $places);
        }

        return $chosen;
    }

    /** @param non-empty-list<int> $places */
    private static function written(string $name, array $places): string
    {
        $parts = array_intersect_key(self::told($name), array_flip($places));

        return \sprintf("# %s: %s\n%s\n\n", $name, implode(' ', $places), implode("\n", $parts));
    }

    /** @return iterable<string> */
    private static function names(): iterable
    {
        foreach (self::demo()->all(Number::class) as $number) {
            foreach (self::MOMENTS as $i => $at) {
                yield $number->range->example() . ' ' . $at . ' ' . $i;
            }
        }
        foreach (self::dialledInside() as $text => $from) {
            foreach (self::MOMENTS as $i => $at) {
                yield \sprintf('%s %s %d %s', $text, $at, $i, 1 === $i ? '' : $from);
            }
        }
        yield self::MISSED;
        foreach (array_keys(Step::KINDS) as $kind) {
            yield self::BLANK . $kind;
        }
        for ($seed = 1; $seed <= self::DRAWN; ++$seed) {
            foreach (DrawnCalls::KINDS as $kind) {
                yield $kind . ', ' . $seed;
            }
        }
    }

    /** @return array<array-key, string> codes and extensions of the demo, and the extension from which they are dialled */
    private static function dialledInside(): array
    {
        $extensions = array_filter(
            array_map(static fn(Person $one): string => $one->known->extension, self::demo()->all(Person::class)),
        );
        $dialled = array_combine($extensions, [...\array_slice($extensions, 1), $extensions[0]]);
        foreach (self::demo()->all(Hours::class) as $hours) {
            $codes = array_map(static fn(DialCode $one): string => $one->code, $hours->states->codes);
            $dialled += array_fill_keys($codes, $extensions[0]);
        }
        foreach (self::demo()->all(Queue::class) as $queue) {
            $agent = self::demo()->get(Person::class, $queue->agents->members[0]->who ?? null);
            $dialled += array_fill_keys($queue->agents->duty->codes(), (string) $agent?->known->extension);
        }

        return $dialled;
    }

    /** @return list<string> of each sentence and each part of one, of each field of data: the same where they differ in figures and names only */
    private static function shapes(string $part): array
    {
        $shapes = [];
        foreach (explode("\n", $part) as $line) {
            $isData = str_starts_with($line, '{');
            foreach ($isData ? self::fields($line) : (array) preg_split('/[,:;.] /', $line) as $one) {
                $shapes[] = (string) preg_replace(
                    [
                        '/“[^”]*”/u',
                        "/\p{Lu}[\w’'.-]*( \p{Lu}[\w’'-]*)*/u",
                        '/\d[\d:.,+–-]*/u',
                        '/[a-z0-9_]+[\/_][a-z0-9_]+/',
                    ],
                    ['“”', 'N', '#', 'id'],
                    (string) $one,
                );
            }
        }

        return $shapes;
    }

    /** @return list<string> */
    private static function fields(string $json): array
    {
        $data = (array) json_decode($json, true, 32, \JSON_THROW_ON_ERROR);
        $kind = \is_string($data['kind'] ?? null) ? $data['kind'] : '';
        $fields = [];
        array_walk_recursive($data, static function (mixed $value, int|string $field) use ($kind, &$fields): void {
            $isCode = \is_string($value) && 1 === preg_match('/^[a-z ]{3,}$/', $value) && 'label' !== $field;
            $fields[] =
                $kind .
                ' ' .
                $field .
                ' ' .
                (\is_bool($value) || $isCode ? json_encode($value) : get_debug_type($value));
        });

        return $fields;
    }

    /** @return list<string> the sentence, phones, steps, what happened */
    private static function told(string $name): array
    {
        [$plan, $call, $assumptions] = 1 === preg_match('/^[+*0-9]/', $name) ? self::ofDemo($name) : self::drawn($name);
        $trace = (new Router())->trace($plan, $call, $assumptions);
        $told = TraceReport::of($trace, $plan, 'Europe/London');
        $parts = [
            $told['sentence'],
            'In short: ' . (new CourseWords($plan))->takes((new Course($trace))->takenBy()),
            Told::json(['ending' => $told['ending'], 'holds' => $told['holds']]),
        ];
        foreach ([...(array) $told['rung'], ...(array) $told['visits']] as $one) {
            unset($one['journey'], $one['step'], $one['phone'], $one['person'], $one['label']);
            $parts[] = Told::json($one);
        }
        foreach ($told['events'] as $place => $event) {
            [$text, $reason] = [$event['text'], $event['reason']];
            unset($event['text'], $event['reason'], $event['journey'], $event['step'], $event['shown']);
            $event['noticed'] = $trace->passage->events[$place]->happening->noticed();
            $parts[] = implode("\n  ", array_filter([Told::json($event), $text, $reason]));
        }

        return $parts;
    }

    /** @return array{Plan, TrialCall, Assumptions} */
    private static function ofDemo(string $name): array
    {
        [$number, $at, $seed, $from] = [...explode(' ', $name), ''];
        mt_srand((int) $seed + (int) substr($number, -4));
        $phones = DrawnAssumptions::phones(self::demo());

        return [
            self::demo(),
            new TrialCall($number, Caller::parse($from, 'GB'), (int) strtotime($at . ':00+00:00')),
            '0' === $seed ? new Assumptions() : DrawnAssumptions::of($phones),
        ];
    }

    /** @return array{Plan, TrialCall, Assumptions} */
    private static function drawn(string $name): array
    {
        if (str_starts_with($name, self::BLANK)) {
            $step = ['id' => 's1', 'do' => substr($name, \strlen(self::BLANK))];
            $plan = (new PlanBuilder())->journey('jrn_main', [$step])->plan();

            return [$plan, PlanBuilder::trial('2026-11-23T10:00'), new Assumptions()];
        }
        if (self::MISSED === $name) {
            $queue = ['id' => 'que', 'kind' => 'queue', 'name' => 'Desk', 'members' => [['who' => 'ann']]];
            $plan = (new PlanBuilder())
                ->person('ann')
                ->with(['duty' => ['signOutAfter' => 1]] + $queue)
                ->journey('jrn_main', [['id' => 's1', 'do' => 'queue', 'queue' => 'que']])
                ->plan();
            $free = Assumptions::fromData(['queues' => [['queue' => 'que', 'free' => 0]]]);

            return [$plan, PlanBuilder::trial('2026-11-23T10:00'), $free];
        }
        [$kind, $seed] = explode(', ', $name);
        $drawn = DrawnCalls::of($kind, (int) $seed);
        $agents = [] === $drawn->given->circumstances->queues ? ['ann', 'ben'] : [];
        $drawnActs = DrawnAssumptions::of(DrawnAssumptions::phones($drawn->plan), $agents);

        return [$drawn->plan, $drawn->call, $drawnActs];
    }

    private static function demo(): Plan
    {
        return self::$demo ??= PlanCodec::decode(
            (string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'),
        );
    }
}
