<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Happening\Ringing;

/**
 * One phone rings on, is answered or refuses, while all the others are busy or out of reach. What leads to nothing but what others do
 * as well, as soon and as late, is left out.
 */
final readonly class OneAlone
{
    /**
     * @param array<string, Rung>                 $open    of which it is open what they do
     * @param array<string, array{int, int}|null> $windows in which they ring where all ring on
     * @param array<string, PhoneAssumption>      $alike   what all of them do, but for the one
     *
     * @return list<Acts>
     */
    public static function of(Asking $at, array $open, array $windows, array $alike, OneWayOn $on): array
    {
        $rings = $alone = [];
        foreach ($open as $phone => $rung) {
            $others = array_diff_key($alike, [$phone => true]);
            $rings[$phone] = Acts::ringing($others, $at->since)->then(
                OneThingAll::ringOn($at, array_diff_key($open, $others)),
            );
            $alone[$phone] = self::ringsAsLong($at, $open, $rung)
                ? $windows[$phone]
                : RingWindow::window($at, $at->try($rings[$phone]), $phone);
        }
        $refuse = self::whenTheyRefuse($at, $open, $alone, $on);
        $answers = [];
        foreach ($rings as $phone => $acts) {
            self::ringsAsLong($at, $open, $open[$phone]) || ($answers[] = $acts);
            if ($alone[$phone] !== $windows[$phone]) {
                array_push($answers, ...Answered::answered($at, $phone, $at->try($acts), $acts));
            }
            foreach ($refuse[$phone] as $after) {
                $refuses = [$phone => new PhoneAssumption($phone, Behaviour::Refuses, $after)];
                $answers[] = $acts->then(Acts::ringing($refuses, $at->since));
            }
        }

        return $answers;
    }

    /**
     * Whether it rings from the first second to the last one, whatever others do: it is as if all rang on, unless one of them may be
     * looked at again in the very second in which that is over.
     *
     * @param array<string, Rung> $open
     */
    private static function ringsAsLong(Asking $at, array $open, Rung $rung): bool
    {
        \assert($at->what instanceof Ringing);
        $began = $at->stand()->walk->second() + $at->since;

        return $rung->times->from === $began &&
            $rung->times->until === $began + $at->what->limitSeconds &&
            self::speakForThemselves($at) &&
            [] === array_filter(array_keys($open), $at->later()->rings(...));
    }

    /**
     * As soon as they can, and as late. Of those of which it makes no difference which of them refuses, only the soonest and the latest
     * do; and one whose own mailbox takes what it refuses hands it on sooner where it cannot be reached.
     *
     * @param array<string, Rung>                 $open
     * @param array<string, array{int, int}|null> $alone when each rings while the others do not
     *
     * @return array<string, list<int>> after how many seconds of ringing, by phone
     */
    private static function whenTheyRefuse(Asking $at, array $open, array $alone, OneWayOn $on): array
    {
        $begin = $end = $handedOn = [];
        foreach (self::speakForThemselves($at) ? $open : [] as $phone => $rung) {
            $window = RingWindow::mayBeAnswered($rung) ? $alone[$phone] : null;
            if (true === $rung->phone->outside?->mailbox?->whenBusy) {
                $rung->phone->manner->askFirst || ($handedOn[$phone] = true);
            } elseif (null !== $window && !$at->later()->rings($phone)) {
                [$begin[$phone], $end[$phone]] = [$window[0], array_sum($window)];
            }
        }
        $soonest = [] === $begin ? null : array_search(min($begin), $begin, true);
        $latest = [] === $end ? null : array_search(max($end), $end, true);
        $seconds = [];
        foreach (array_keys($open) as $phone) {
            $isSoonest = isset($begin[$phone]) ? $phone === $soonest : !isset($handedOn[$phone]);
            $isLatest = !isset($end[$phone]) || $phone === $latest;
            $seconds[$phone] = array_values(
                array_unique([
                    ...$isSoonest && !$on->knowsSoonest ? OneThingAll::soonest($at, $open) : [],
                    ...$isLatest && !$on->knowsLatest ? [$alone[$phone][1] ?? 0] : [],
                ]),
            );
        }

        return $seconds;
    }

    /**
     * Whether each has its turn, and by no rule, and makes no difference to others by which of their phones somebody is busy, or
     * refuses.
     */
    private static function speakForThemselves(Asking $at): bool
    {
        \assert($at->what instanceof Ringing);
        $isPlain =
            null === $at->what->why->choice?->rule &&
            null === $at->what->why->turn &&
            true !== Team::mannersOf($at->plan(), $at->what->target)?->followRules &&
            !$at->what->isAnnouncement() &&
            !OneThingEach::skipsBusy($at);

        return $isPlain &&
            [] === array_filter($at->what->rung, static fn(Rung $one): bool => Rung::NOT_REACHED === $one->outcome);
    }
}
