<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Ringing;

use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PythonReference;
use Meandros\Core\Tests\Soak;
use PHPUnit\Framework\TestCase;

/** Random teams and rules on random phones, beside a reference that is written in Python from docs/ringing.md alone. */
final class RingingReferenceTest extends TestCase
{
    public function testRandomCallsAgree(): void
    {
        mt_srand(Soak::seed());
        $cases = $ours = $traces = [];
        for ($i = 0, $count = Soak::count(1000); $i < $count; ++$i) {
            [$cases[], $trace] = RandomRinging::draw();
            $ours[] = self::outcome($trace);
            $traces[] = $trace;
        }
        $theirs = PythonReference::ask(__DIR__ . '/ringing_reference.py', $cases);
        $endings = [];
        foreach ($cases as $i => $case) {
            self::assertSame(
                $theirs[$i],
                $ours[$i],
                \sprintf(
                    "Case %d\n%s\n%s",
                    $i,
                    json_encode($case, \JSON_PRETTY_PRINT | \JSON_THROW_ON_ERROR),
                    self::bars($traces[$i]),
                ),
            );
            $key = $ours[$i][3] ?? $ours[$i][0];
            $endings[$key] = ($endings[$key] ?? 0) + 1;
        }
        foreach (['answered', 'own mailbox', 'caller gave up', 'nobody', 'busy', 'refused', 'unreachable'] as $ending) {
            self::assertGreaterThan($count / 200, $endings[$ending] ?? 0, 'The cases are of every kind: ' . $ending);
        }
    }

    /** @return array{string, string|null, int, string|null} */
    private static function outcome(Trace $trace): array
    {
        $kind = $trace->ending->kind->value;

        return [
            'ran out of steps' === $kind ? 'nobody' : $kind,
            $trace->ending->phone,
            $trace->seconds,
            'ran out of steps' === $kind ? $trace->passage->visits[0]->exit : null,
        ];
    }

    private static function bars(Trace $trace): string
    {
        return implode(
            "\n",
            array_map(
                static fn($rung): string => \sprintf(
                    '%s %d (%s)–%d %s',
                    $rung->phone->id,
                    $rung->times->from,
                    $rung->times->rings ?? '',
                    $rung->times->until,
                    $rung->outcome,
                ),
                $trace->passage->rung,
            ),
        );
    }
}
