<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Parked;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\ParkedSo;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Stated;
use Meandros\Core\Proof\Ways\Untried;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Happening\ParkedAt;

/**
 * Whether somebody takes a call that is parked, whoever it is, and whether a place is free; not where that is stated. What is said of
 * it holds whenever the call is parked: nobody takes it sooner than it was waited in vain before.
 */
final class ParkedCall implements Question
{
    use Usual;

    /** Seconds that are looked at where it waits until somebody comes. */
    private const FOR_EVER = 3600;

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof ParkedAt);
        $about = 'parked ' . $at->what->step->id() . ' ' . $at->since;
        $isOpen = null !== $at->what->place && $at->given()->parked == new Parked() && !$at->isSettled($about);

        return $isOpen ? $about . ' ' . serialize(self::before($at)) : null;
    }

    public function answers(Asking $at): array
    {
        \assert($at->what instanceof ParkedAt);
        $settled = Acts::settling(['parked ' . $at->what->step->id() . ' ' . $at->since]);
        [$before, $step, $place] = [self::before($at), $at->what->step, (string) $at->what->place];
        $last = (0 === $step->seconds ? self::FOR_EVER : $step->seconds) - 1;
        $all = [$before->notTaken($step->seconds, $place)];
        $places = $at->plan()->get(Site::class, $at->what->site)->parkPlaces ?? [];
        $meant = '' === $step->place ? $places : [$step->place];
        if ([] === array_intersect($meant, $before->free)) {
            $all[] = $before->without($meant);
        }
        if ($before->inVain <= $last) {
            foreach (array_unique([$before->inVain, $last]) as $after) {
                $all[] = $before->takenAfter($after);
            }
        }

        return array_map(
            static fn(ParkedSo $one): Acts => $settled->then(new Acts(stated: new Stated([], $one))),
            $all,
        );
    }

    private static function before(Asking $at): ParkedSo
    {
        return $at->acts->stated->parked ?? ($at->stand()->acts->stated->parked ?? new ParkedSo());
    }

    public function untried(Asking $at): ?Untried
    {
        \assert($at->what instanceof ParkedAt);

        return $at->what->step->seconds > 0 ? null : Untried::ParkedWithoutEnd;
    }
}
