<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\EventWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What listening for a fax machine costs, second by second. The prompt takes 10 s. */
final class FaxTest extends TestCase
{
    /** @param array<string, mixed> $step */
    #[DataProvider('calls')]
    public function testWhatHappens(array $step, bool $isFax, int $seconds, string $ending, string $why): void
    {
        $plan = (new PlanBuilder())
            ->prompt('prm', 10)
            ->mailbox('mbx')
            ->mailbox('mbx_fax')
            ->journey('jrn_main', [
                $step + ['id' => 'it', 'do' => 'fax', 'mailbox' => 'mbx_fax'],
                ['id' => 'last', 'do' => 'message', 'mailbox' => 'mbx'],
            ]);
        $trace = $plan->call(['fax' => $isFax]);
        self::assertSame(
            [$seconds, $ending, $why],
            [
                $trace->seconds,
                $trace->ending->kind->value,
                (new EventWords($plan->plan()))->because($trace->passage->events[1]->happening),
            ],
        );
        self::assertSame(
            'fax' === $ending ? 'Sends a fax to mbx_fax.' : 'Leaves a message with mbx.',
            AnswerSentence::of($trace, $plan->plan()),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, bool, int, string, string}> */
    public static function calls(): iterable
    {
        yield 'a caller waits in silence' => [
            ['seconds' => 6],
            false,
            6,
            'message',
            'It costs the caller 6 s of silence.',
        ];
        yield 'or hears words meanwhile' => [
            ['seconds' => 6, 'prompt' => 'prm'],
            false,
            10,
            'message',
            'It costs the caller nothing: they hear words meanwhile.',
        ];
        yield 'or for a part of it' => [
            ['seconds' => 12, 'prompt' => 'prm'],
            false,
            12,
            'message',
            'It costs the caller 2 s of silence.',
        ];
        yield 'a fax machine' => [
            ['seconds' => 6],
            true,
            4,
            'fax',
            'Its tone comes again and again; it is heard within 4 s.',
        ];
        yield 'that is not listened to for long enough' => [
            ['seconds' => 3],
            true,
            3,
            'message',
            'A fax machine calls, but its tone can come later than that: it is heard for certain within 4 s.',
        ];
    }
}
