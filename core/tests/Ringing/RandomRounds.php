<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Ringing;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Tests\PlanBuilder;

/** A team that rings for up to two minutes, round after round, over a line of three channels; and what people may do, drawn with mt_rand. */
final class RandomRounds
{
    private const DOES = ['answers', 'refuses', 'rings', 'busy', 'on a call', 'unreachable'];

    public static function plan(): Plan
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->person('ben', ['desk', 'other'])
            ->person('cid', ['desk', 'mobile']);
        $outside = [
            'id' => 'mobile',
            'type' => 'outside',
            'label' => 'mobile',
            'number' => '+447700900123',
            'ownMailbox' => 20,
        ];
        $cid = $plan->element('cid');
        $plan
            ->with(['phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'desk'], $outside]] + $cid)
            ->team('team_main', ['ann', 'ben', 'cid'], 'one after the other', 9)
            ->with([
                'id' => 'line_quay',
                'kind' => 'line',
                'name' => 'Quay',
                'site' => 'sit_harbour',
                'destinations' => ['local', 'national', 'mobile', 'international'],
                'channels' => 3,
            ])
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'team_main', 'seconds' => 25, 'againMinutes' => 2],
            ]);

        return $plan->plan();
    }

    /** @return array<string, mixed> */
    public static function assumed(): array
    {
        $phones = [];
        foreach (['ann', 'ben', 'cid/mobile', 'cid'] as $who) {
            foreach (0 === mt_rand(0, 1) ? [0] : [0, 40] as $from) {
                $phones[] = [
                    'who' => $who,
                    'does' => self::DOES[mt_rand(0, 5)],
                    'after' => 7 * mt_rand(0, 5),
                    'from' => $from,
                ];
            }
        }

        return [
            'phones' => $phones,
            'lines' => [['line' => 'line_quay', 'taken' => mt_rand(0, 2)]],
            ...0 === mt_rand(0, 2) ? ['patience' => mt_rand(1, 150)] : [],
        ];
    }
}
