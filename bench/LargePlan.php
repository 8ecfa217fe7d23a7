<?php

declare(strict_types=1);

namespace Meandros\Bench;

/** The demo plan among ten thousand elements of a company that has many of everything; numbers are from ranges for fiction. */
final class LargePlan
{
    /** Ofcom's ranges for drama, geographic: the beginnings of numbers whose last three digits are free (from memory). */
    private const RANGES = [
        '+44113496',
        '+44114496',
        '+44115496',
        '+44116496',
        '+44117496',
        '+44118496',
        '+44121496',
        '+44131496',
        '+44141496',
        '+44151496',
        '+44161496',
        '+44191498',
        '+4420794',
        '+4428964',
        '+4429201',
    ];

    /** @return array<string, mixed> a plan file */
    public static function of(string $demo): array
    {
        $plan = json_decode($demo, true, 128, \JSON_THROW_ON_ERROR);
        \assert(\is_array($plan) && \is_array($plan['elements']));
        $of = static fn(string $kind): array => array_values(
            array_filter($plan['elements'], static fn(array $one): bool => $one['kind'] === $kind),
        );
        [$hours, $team, $journey] = [$of('hours')[0], $of('team')[0], $of('journey')[0]];
        $more = [];
        for ($i = 0; $i < 60; ++$i) {
            $more[] = ['id' => "sit_more_$i", 'name' => "Site $i", 'parkPlaces' => []] + $of('site')[$i % 2];
        }
        for ($i = 0; $i < 300; ++$i) {
            $more[] =
                ['id' => "hrs_more_$i", 'name' => "Hours $i", 'site' => 'sit_more_' . $i % 60, 'codes' => []] + $hours;
        }
        for ($i = 0; $i < 4000; ++$i) {
            $more[] = [
                'id' => "per_more_$i",
                'kind' => 'person',
                'name' => "Person $i",
                'extension' => (string) (10_000 + $i),
                'site' => 'sit_more_' . $i % 60,
                'mailbox' => null,
                'rules' => [],
                'phones' => [
                    ['id' => 'desk', 'type' => 'desk', 'label' => 'Desk phone'],
                    [
                        'id' => 'mobile',
                        'type' => 'outside',
                        'label' => 'Mobile',
                        'number' => \sprintf('+447700900%03d', $i % 1000),
                        'askFirst' => true,
                        'ownMailbox' => 25,
                    ],
                ],
            ];
        }
        for ($i = 0; $i < 500; ++$i) {
            $more[] =
                [
                    'id' => "team_more_$i",
                    'name' => "Team $i",
                    'members' => array_map(
                        static fn(int $n): array => ['who' => 'per_more_' . ($i * 8 + $n) % 4000],
                        range(0, 7),
                    ),
                ] + $team;
        }
        for ($i = 0; $i < 1000; ++$i) {
            $more[] =
                [
                    'id' => "jrn_more_$i",
                    'name' => "Journey $i",
                    'steps' => [
                        ['id' => 's1', 'do' => 'hours', 'hours' => 'hrs_more_' . $i % 300, 'exits' => []],
                        ['id' => 's2', 'do' => 'ring', 'target' => 'team_more_' . $i % 500, 'seconds' => 25],
                    ],
                ] + $journey;
        }
        for ($i = \count($plan['elements']) + \count($more); $i < 10_000; ++$i) {
            $more[] = [
                'id' => "num_more_$i",
                'kind' => 'number',
                'name' => "Number $i",
                'number' => self::number($i),
                'site' => 'sit_more_' . $i % 60,
                'language' => 'en',
                'target' => 'jrn_more_' . $i % 1000,
            ];
        }
        $plan['elements'] = [...$plan['elements'], ...$more];

        return self::withObjects($plan);
    }

    private static function number(int $i): string
    {
        $range = self::RANGES[$i % \count(self::RANGES)];
        $rest = 13 - \strlen($range);

        return $range . str_pad((string) intdiv($i, \count(self::RANGES)), $rest, '0', \STR_PAD_LEFT);
    }

    /**
     * Objects that may be empty look like lists in PHP.
     *
     * @param array<string, mixed> $plan
     *
     * @return array<string, mixed>
     */
    private static function withObjects(array $plan): array
    {
        $json = (string) preg_replace(
            '/"(scripts|when|next|greetings|years)":\[\]/',
            '"$1":{}',
            json_encode($plan, \JSON_THROW_ON_ERROR),
        );
        $made = json_decode($json, false, 128, \JSON_THROW_ON_ERROR);

        return (array) $made;
    }
}
