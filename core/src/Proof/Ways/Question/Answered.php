<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Run;

/** A phone is answered as soon, and as late, as it can be. */
final class Answered
{
    /**
     * It is answered, at once and in the last second: or in the very one in which another phone's own mailbox, or phones that are paged,
     * would take the call.
     *
     * @param Run $run in which it is not
     *
     * @return list<Acts>
     */
    public static function answered(Asking $at, string $phone, Run $run, Acts $others): array
    {
        $window = RingWindow::window($at, $run, $phone);
        $answers = [];
        $seconds = [...$at->isSoonest ? [0] : [], ...$at->isLatest ? RingWindow::lasts($at, $run, $phone) : []];
        foreach (null === $window ? [] : array_unique($seconds) as $after) {
            $answers[] = $others->then(
                Acts::ringing([$phone => new PhoneAssumption($phone, Behaviour::Answers, $after)], $at->since),
            );
        }

        return $answers;
    }
}
