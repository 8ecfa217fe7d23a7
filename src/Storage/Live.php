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
    /** Calls of so many days ask for the same: it is kept until something of it changes. */
    private const TOGETHER = 90 * 86400;
    private const NAME = 'SELECT revision FROM live_state';
    /** All of it, and how it is called, as of one moment. Whoever is available and signed in is as if nothing were said of them. */
    private const ALL = <<<'SQL'
    (SELECT 'forced', CAST(id AS text), hours, state, set_at, least(until_at, lifted_at), reason, who FROM hours_override
        WHERE coalesce(least(until_at, lifted_at), 9223372036854775807) > ? ORDER BY set_at DESC, id DESC LIMIT ?)
    UNION ALL SELECT 'status', person, NULL, status, NULL, until_at, NULL, NULL FROM person_status
        WHERE status <> ? AND (until_at IS NULL OR until_at > ?)
    UNION ALL SELECT 'sign-in', person, queue, state, NULL, NULL, NULL, NULL FROM sign_in WHERE state <> ?
    UNION ALL SELECT 'name', CAST(revision AS text), NULL, '', NULL, NULL, NULL, NULL FROM live_state
    SQL;

    public function __construct(private Connection $database, private SharedMemory $memory, private Now $now) {}

    /**
     * What is forced around an instant or later, on hours that there are: what was over long before stays out of the way of
     * calls, and what was over lately may be since when hours are in a state. Where two meet, the later one holds.
     *
     * @param int|null    $instant of the call (Unix seconds); null for everything that was ever forced
     * @param string|null $name    how it is called, where that was read a moment ago together with a plan
     */
    public function state(Plan $plan, ?int $instant = null, ?string $name = null): LiveState
    {
        $forced = $statuses = $signIns = [];
        $now = $this->now->second();
        foreach ($this->rows($instant, $now, $name) as [$what, $id, $of, $state, $from, $until, $reason, $who]) {
            if ('status' === $what) {
                if (null === $until || $until > $now) {
                    $statuses[$id] = new LiveStatus(Status::from($state), $until);
                }
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

        return new LiveState($forced, $statuses, $signIns);
    }

    /** @return list<array{string, string, string|null, string, int|null, int|null, string|null, string|null}> in the order in which it was set */
    private function rows(?int $instant, int $now, ?string $name): array
    {
        $since = null === $instant ? 0 : intdiv(max(0, $instant - self::LATELY), self::TOGETHER) * self::TOGETHER;
        if (null === $name) {
            /** @var string $name */
            $name = $this->database->fetchOne(self::NAME);
        }
        /** @var list<array{string, string, string|null, string, int|null, int|null, string|null, string|null}>|null $rows */
        $rows = $this->memory->get(self::key($name, $since));
        if (null !== $rows) {
            return $rows;
        }
        $asked = [$since, self::MOST_FORCED, Status::Available->value, $now, SignIn::In->value];
        $rows = [];
        /** @var array{string, string, string|null, string, int|null, int|null, string|null, string|null} $row */
        foreach ($this->database->iterateNumeric(self::ALL, $asked) as $row) {
            if ('name' === $row[0]) {
                // Somebody may have changed something since it was asked for by itself.
                $name = $row[1];
            } else {
                $rows[] = $row;
            }
        }
        usort(
            $rows,
            static fn(array $one, array $other): int => [$one[4], (int) $one[1]] <=> [$other[4], (int) $other[1]],
        );
        $this->memory->keep(self::key($name, $since), $rows);

        return $rows;
    }

    private static function key(string $name, int $since): string
    {
        return 'live.' . $name . '.' . $since;
    }
}
