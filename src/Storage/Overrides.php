<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Meandros\Server\Now;
use Meandros\Server\Storage\Entity\HoursOverride;
use Symfony\Component\DependencyInjection\Attribute\Lazy;

/** Hours that people force into a state: effective at once, at most one at a time for any hours. */
final readonly class Overrides
{
    private const LOCK = 7120003;
    private const MOST_LISTED = 200;

    public function __construct(
        #[Lazy] private EntityManagerInterface $entities,
        private Connection $database,
        private Now $now,
    ) {}

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
