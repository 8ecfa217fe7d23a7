<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Time\Override;
use Meandros\Server\Now;
use Meandros\Server\Storage\Entity\HoursOverride;
use Symfony\Component\DependencyInjection\Attribute\Lazy;

/** Hours that people force into a state: effective at once, at most one at a time for any hours. */
final readonly class Overrides
{
    private const LOCK = 7120003;
    /** A year and a season. */
    private const LATELY = 450 * 86400;
    private const MOST_LISTED = 200;
    /** One for each of some thousand hours. */
    private const MOST_READ = 5000;

    public function __construct(
        #[Lazy] private EntityManagerInterface $entities,
        private Connection $database,
        private Now $now,
    ) {}

    /**
     * What is forced around an instant or later, on hours that there are: what was over long before stays out of the way of
     * calls, and what was over lately may be since when hours are in a state.
     *
     * @param int|null $instant Unix seconds; null for everything that was ever forced
     *
     * @return list<Override> the latest last: where two meet, the later one holds
     */
    public function forced(Plan $plan, ?int $instant): array
    {
        $forced = [];
        /** @var array{int, string, string, int, int|null, string, string} $row */
        foreach (
            $this->database->iterateNumeric(
                'SELECT id, hours, state, set_at, least(until_at, lifted_at), reason, who FROM hours_override
            WHERE coalesce(least(until_at, lifted_at), ?) > ? ORDER BY set_at DESC, id DESC LIMIT ?',
                [\PHP_INT_MAX, null === $instant ? 0 : $instant - self::LATELY, self::MOST_READ],
            )
            as $row
        ) {
            if (Kind::Hours === $plan->kindOf($row[1])) {
                $forced[] = new Override(
                    (string) $row[0],
                    $row[1],
                    $row[2],
                    (int) $row[3],
                    null === $row[4] ? null : (int) $row[4],
                    $row[5],
                    $row[6],
                );
            }
        }

        return array_reverse($forced);
    }

    /** @return list<HoursOverride> the latest first: so many, and of those before them the ones that still hold */
    public function all(): array
    {
        $latest = $this->entities
            ->getRepository(HoursOverride::class)
            ->findBy([], ['setAt' => 'DESC', 'id' => 'DESC'], self::MOST_LISTED);
        /** @var list<HoursOverride> $open */
        $open = $this->entities
            ->createQuery(
                'SELECT o FROM ' .
                    HoursOverride::class .
                    ' o WHERE o.liftedAt IS NULL AND (o.until IS NULL OR o.until > :now) ORDER BY o.setAt DESC, o.id DESC',
            )
            ->setParameter('now', $this->now->second())
            ->getResult();

        return [
            ...$latest,
            ...array_filter($open, static fn(HoursOverride $row): bool => !\in_array($row, $latest, true)),
        ];
    }

    /** Ends what is forced on the same hours. */
    public function force(HoursOverride $override): HoursOverride
    {
        return $this->turn(function () use ($override): HoursOverride {
            foreach (
                $this->entities
                    ->getRepository(HoursOverride::class)
                    ->findBy(['hours' => $override->hours, 'liftedAt' => null])
                as $other
            ) {
                if ($other->isOn($override->setAt)) {
                    [$other->liftedAt, $other->liftedBy] = [$override->setAt, $override->who];
                }
            }
            $this->entities->persist($override);

            return $override;
        });
    }

    /** @throws NotFound when there is no such override, or it is over */
    public function lift(int $id, string $who, int $now): HoursOverride
    {
        return $this->turn(function () use ($id, $who, $now): HoursOverride {
            $override = $this->entities->find(HoursOverride::class, $id);
            if (null === $override || !$override->isOn($now)) {
                throw new NotFound('Nothing is forced there any more; it may have ended or been lifted meanwhile.');
            }
            [$override->liftedAt, $override->liftedBy] = [$now, $who];

            return $override;
        });
    }

    /**
     * @param \Closure(): HoursOverride $work
     */
    private function turn(\Closure $work): HoursOverride
    {
        return $this->entities->wrapInTransaction(function () use ($work): HoursOverride {
            $this->database->executeStatement('SELECT pg_advisory_xact_lock(?)', [self::LOCK]);

            return $work();
        });
    }
}
