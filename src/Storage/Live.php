<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Meandros\Core\Call\SignIn;
use Meandros\Core\Call\Status;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Live\LiveStatus;
use Meandros\Core\Plan\Plan;
use Meandros\Server\Now;

/** Everything that is not plan and takes effect at once. */
final readonly class Live
{
    public function __construct(private Connection $database, private Overrides $overrides, private Now $now) {}

    /** @param int|null $instant of the call (Unix seconds): what was over long before is left out; null for all of it */
    public function state(Plan $plan, ?int $instant = null): LiveState
    {
        $statuses = $signIns = [];
        // Whoever is available and signed in is as if nothing were said of them. One question for both: it is asked with every call.
        /** @var array{string|null, string, string, int|null} $row */
        foreach (
            $this->database->iterateNumeric(
                'SELECT NULL AS queue, person, status, until_at FROM person_status WHERE status <> ? AND (until_at IS NULL OR until_at > ?)
            UNION ALL SELECT queue, person, state, NULL FROM sign_in WHERE state <> ?',
                [Status::Available->value, $this->now->second(), SignIn::In->value],
            )
            as $row
        ) {
            [$queue, $person, $state, $until] = $row;
            if (null === $queue) {
                $statuses[$person] = new LiveStatus(Status::from($state), null === $until ? null : (int) $until);
            } else {
                $signIns[$queue][$person] = SignIn::from($state);
            }
        }

        return new LiveState($this->overrides->forced($plan, $instant), $statuses, $signIns);
    }
}
