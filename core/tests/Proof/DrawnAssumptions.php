<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Plan\Plan;

/** What callers, phones and agents do, drawn with mt_rand. */
final class DrawnAssumptions
{
    private const PRESSES = ['0', '1', '2', '3', '201', '202#', '23#', '232', '266', '27', '99', '2#'];

    /**
     * @param list<string> $phones
     * @param list<string> $agents
     * @param int          $latest seconds after which keys are pressed meanwhile
     */
    public static function of(array $phones, array $agents = [], int $latest = 14): Assumptions
    {
        return Assumptions::fromData(self::data($phones, $agents, $latest));
    }

    /**
     * @param list<string> $phones
     * @param list<string> $agents
     *
     * @return array<string, mixed> as in a file
     */
    public static function data(array $phones, array $agents = [], int $latest = 14): array
    {
        $keys = $meanwhile = $does = [];
        for ($i = mt_rand(0, 4); $i > 0; --$i) {
            $keys[] = ['press' => self::oneOf(self::PRESSES), 'after' => mt_rand(0, 14)];
            $meanwhile[] = ['press' => (string) mt_rand(0, 5), 'after' => mt_rand(0, $latest)];
        }
        foreach ($phones as $phone) {
            // Some do something else later in the call.
            foreach (0 === mt_rand(0, 2) ? [0, mt_rand(1, 60)] : [0] as $from) {
                $what = self::oneOf(['rings', 'answers', 'busy', 'unreachable', 'refuses']);
                $does[] = [
                    'who' => $phone,
                    'does' => $what,
                    'after' => \in_array($what, ['answers', 'refuses'], true) ? mt_rand(0, 30) : null,
                    'from' => $from,
                ];
            }
        }

        $isFree = static fn(string $who): array => [
            'who' => $who,
            'signedIn' => 0 !== mt_rand(0, 4),
            'freeAfter' => self::oneOf([null, 0, mt_rand(0, 120), mt_rand(0, 600)]),
        ];
        $queue = [
            'queue' => 'que',
            'ahead' => self::oneOf([0, 0, mt_rand(0, 6)]),
            'leaves' => self::oneOf([null, mt_rand(0, 90)]),
            'keeps' => self::oneOf([null, mt_rand(0, 90)]),
            'picksUp' => self::oneOf([null, mt_rand(0, 40)]),
            'onTry' => mt_rand(1, 3),
            'agents' => array_map($isFree, $agents),
        ];

        return [
            'queues' => [] === $agents || 0 === mt_rand(0, 3) ? [] : [$queue],
            'parked' => ['takenAfter' => self::oneOf([null, mt_rand(0, 70)])],
            'fax' => 0 === mt_rand(0, 4),
            'keys' => $keys,
            'meanwhile' => $meanwhile,
            'phones' => $does,
            'patience' => 0 === mt_rand(0, 3) ? mt_rand(1, 100) : null,
        ];
    }

    /** @return list<string> */
    public static function phones(Plan $plan): array
    {
        $phones = [];
        foreach ($plan->all(\Meandros\Core\Plan\Element\Person::class) as $person) {
            foreach ($person->reach->phones as $phone) {
                $phones[] = $person->id() . '/' . $phone->id;
            }
        }

        return $phones;
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $choices
     *
     * @return T
     */
    private static function oneOf(array $choices): mixed
    {
        return $choices[mt_rand(0, \count($choices) - 1)];
    }
}
