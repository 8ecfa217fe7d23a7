<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Parked;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Stated;
use Meandros\Core\Proof\Ways\Untried;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Happening\ParkedAt;

/** Whether somebody takes a call that is parked, whoever it is, and whether a place is free; not where that is stated. */
final class ParkedCall implements Question
{
    use Usual;

    /** Seconds that are looked at where it waits until somebody comes. */
    private const FOR_EVER = 3600;

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof ParkedAt);
        $isOpen =
            null !== $at->what->place &&
            $at->given()->parked == new Parked() &&
            null === $at->stand()->acts->stated->parked &&
            null === $at->acts->stated->parked;

        return $isOpen ? 'parked ' . $at->what->step->id() : null;
    }

    public function answers(Asking $at): array
    {
        \assert($at->what instanceof ParkedAt);
        $seconds = $at->what->step->seconds;
        $last = (0 === $seconds ? self::FOR_EVER : $seconds) - 1;
        $places = $at->plan()->get(Site::class, $at->what->site)->parkPlaces ?? [];
        $all = [new Parked(), new Parked(null, null, $places)];
        foreach (array_unique([0, $last]) as $after) {
            $all[] = new Parked($after);
        }

        return array_map(static fn(Parked $one): Acts => new Acts(stated: new Stated([], $one)), $all);
    }

    public function untried(Asking $at): ?Untried
    {
        \assert($at->what instanceof ParkedAt);

        return $at->what->step->seconds > 0 ? null : Untried::ParkedWithoutEnd;
    }
}
