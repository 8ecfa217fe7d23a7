<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Happening\TriesAgain;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Walk;

/** Keeps the caller and rings again, round after round, for up to so many minutes. */
final readonly class Persistence
{
    /** Between two rounds (common practice: a few seconds, so that people can put the phone down). */
    public const PAUSE = 5;
    /** How long a round lasts in which nothing rings: it would take no time at all. */
    public const SILENT_ROUND = 20;

    /**
     * @param Ringer                     $ringer  by whom every round is rung
     * @param int                        $minutes 0 to ring once
     * @param int                        $seconds of a round
     * @param \Closure(int, int): Onward $round   given which round it is, from 1, and the seconds that it may last
     *
     * @throws CallOver
     */
    public static function ring(Walk $walk, Ringer $ringer, int $minutes, int $seconds, \Closure $round): Onward
    {
        $end = $walk->second() + 60 * $minutes;
        for ($n = 1; ; ++$n) {
            $began = $walk->second();
            $dialled = $walk->rung->timesDialled();
            $onward = $round($n, 1 === $n ? $seconds : min($seconds, $end - $walk->second()));
            if (null !== $onward->ending || null !== $onward->toward || 0 === $minutes) {
                return $onward;
            }
            $silence = $walk->rung->timesDialled() > $dialled ? 0 : min(self::SILENT_ROUND, $end - $walk->second());
            $isLast = $walk->second() + $silence + self::PAUSE >= $end;
            if (1 === $n && ($silence > 0 || !$isLast)) {
                $walk->note(new TriesAgain($minutes));
            }
            $walk->pass($silence);
            if ($isLast) {
                return $onward;
            }
            $walk->pass(self::PAUSE);
            if ($n > 1) {
                // In the first one a greeting may be heard, and the last one may be shorter.
                $every = $walk->second() - $began;
                $ringer->ringAgain($every, $end - max($seconds, $every + 1));
            }
        }
    }
}
