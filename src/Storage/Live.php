<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Meandros\Core\Call\SignIn;
use Meandros\Core\Call\Status;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Live\LiveStatus;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Time\ForcedBy;
use Meandros\Core\Time\Override;
use Meandros\Server\Now;

/** Everything that is not plan and takes effect at once. */
final readonly class Live
{
    /** A year and a season. */
    private const LATELY = 450 * 86400;
    /** One for each of some thousand hours. */
    private const MOST_FORCED = 5000;
    /** One question for all of it: it is asked with every call. Whoever is available and signed in is as if nothing were said of them. */
    private const ALL = <<<'SQL'
    (SELECT 'forced', CAST(id AS text), hours, state, set_at, least(until_at, lifted_at), reason, who FROM hours_override
        WHERE coalesce(least(until_at, lifted_at), 9223372036854775807) > ? ORDER BY set_at DESC, id DESC LIMIT ?)
    UNION ALL SELECT 'status', person, NULL, status, NULL, until_at, NULL, NULL FROM person_status
        WHERE status <> ? AND (until_at IS NULL OR until_at > ?)
    UNION ALL SELECT 'sign-in', person, queue, state, NULL, NULL, NULL, NULL FROM sign_in WHERE state <> ?
    SQL;

    public function __construct(private Connection $database, private Now $now) {}

    /**
     * What is forced around an instant or later, on hours that there are: what was over long before stays out of the way of
     * calls, and what was over lately may be since when hours are in a state. Where two meet, the later one holds.
     *
     * @param int|null $instant of the call (Unix seconds); null for everything that was ever forced
     */
    public function state(Plan $plan, ?int $instant = null): LiveState
    {
        $forced = $statuses = $signIns = [];
        /** @var array{string, string, string|null, string, int|null, int|null, string|null, string|null} $row */
        foreach (
            $this->database->iterateNumeric(self::ALL, [
                null === $instant ? 0 : $instant - self::LATELY,
                self::MOST_FORCED,
                Status::Available->value,
                $this->now->second(),
                SignIn::In->value,
            ])
            as $row
        ) {
            [$what, $id, $of, $state, $from, $until, $reason, $who] = $row;
            if ('status' === $what) {
                $statuses[$id] = new LiveStatus(Status::from($state), $until);
            } elseif ('sign-in' === $what) {
                $signIns[(string) $of][$id] = SignIn::from($state);
            } elseif (Kind::Hours === $plan->kindOf((string) $of)) {
                $forced[] = new Override(
                    $id,
                    (string) $of,
                    $state,
                    (int) $from,
                    $until,
                    new ForcedBy((string) $who, (string) $reason),
                );
            }
        }
        usort(
            $forced,
            static fn(Override $one, Override $other): int => [$one->from, (int) $one->id] <=> [
                $other->from,
                (int) $other->id,
            ],
        );

        return new LiveState($forced, $statuses, $signIns);
    }
}
