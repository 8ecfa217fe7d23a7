<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Call;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Routing\AssumptionCheck;
use Meandros\Core\Tests\Told;
use Meandros\Core\Tests\Tried;
use PHPUnit\Framework\TestCase;

/** What is said of every assumption where something stands in it that may not belong there. */
final class AssumptionsToldTest extends TestCase
{
    private const ALL = [
        'keys' => ['1', ['press' => '2', 'after' => 3], ['says' => 'bookings', 'after' => 4]],
        'meanwhile' => [['press' => '*', 'after' => 12]],
        'patience' => 60,
        'fax' => true,
        'phones' => [
            ['who' => 'per_ines/mobile', 'does' => 'answers', 'after' => 6, 'from' => 0],
            ['who' => 'per_dana', 'does' => 'on a call', 'from' => 20],
            ['who' => '+447700900105', 'does' => 'busy'],
        ],
        'statuses' => [['who' => 'per_dana', 'status' => 'away']],
        'queues' => [
            [
                'queue' => 'que_bookings',
                'ahead' => 3,
                'urgentAhead' => 1,
                'canWaitAhead' => 2,
                'free' => 30,
                'leaves' => 100,
                'keeps' => 70,
                'picksUp' => 5,
                'onTry' => 2,
                'agents' => [
                    [
                        'who' => 'per_dana',
                        'signedIn' => true,
                        'freeAfter' => 40,
                        'idle' => 10,
                        'calls' => 4,
                        'talk' => 90,
                    ],
                ],
            ],
        ],
        'lines' => [['line' => 'line_saint_aubert', 'taken' => 2]],
        'down' => ['sit_ternwick'],
        'withoutOverrides' => true,
        'earlier' => [
            'last' => [['team' => 'team_bookings', 'who' => 'per_dana']],
            'members' => [['who' => 'per_dana', 'idle' => 5, 'calls' => 2]],
            'seed' => 7,
        ],
        'parked' => ['takenAfter' => 20, 'by' => 'per_dana', 'taken' => ['701']],
    ];

    public function testIt(): void
    {
        $demo = __DIR__ . '/../../../demo/ternwick-ferries.json';
        $plan = PlanCodec::decode((string) file_get_contents($demo));
        $of = static fn(string $from): Tried => new Tried(static function (array $data) use ($plan, $from): ?array {
            $call = new TrialCall('+441632960110', Caller::parse($from, 'GB'), 1_795_449_000);
            $assumptions = Assumptions::fromData($data);
            AssumptionCheck::check($plan, $assumptions, $call);

            return null;
        });
        $tried = $of('+447700900123');
        $told = "# /queues/0/keeps, of who withholds their number\n" . $of('')->at(self::ALL, '/queues/0/keeps');
        foreach (self::places(self::ALL, '') as $pointer) {
            $told .= "# {$pointer}\n" . $tried->at(self::ALL, $pointer);
        }
        $told .= $tried->words();
        Told::same(__DIR__ . '/assumptions.en.txt', $told);
    }

    /**
     * @param array<mixed> $data
     *
     * @return iterable<string>
     */
    private static function places(array $data, string $pointer): iterable
    {
        foreach ($data as $name => $value) {
            yield $pointer . '/' . $name;
            if (\is_array($value)) {
                yield from self::places($value, $pointer . '/' . $name);
            }
        }
    }
}
