<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Meandros\Core\Check\Checks;
use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Server\Now;
use Meandros\Server\Storage\Entity\Edition;
use Symfony\Component\DependencyInjection\Attribute\Lazy;

/** Published plans. Live is, at any instant, the one that came into force last, of those whose document is intact. */
final readonly class Editions
{
    private const LOCK = 7120002;
    /** Seconds after which a document is held against its checksum again. */
    private const LOOKED_AT_EVERY = 60;

    public function __construct(
        #[Lazy] private EntityManagerInterface $entities,
        private Connection $database,
        private Draft $draft,
        private Now $now,
        private SharedMemory $memory,
    ) {}

    /**
     * @param int|null                                     $revision of the draft that was looked at; null: whatever it is
     * @param int|null                                     $from     Unix seconds from which calls are routed by it; null for now
     * @param (\Closure(Plan): array<string, string>)|null $despite  why it is published although an expectation is broken, by the expectation's id
     *
     * @throws NotPublishable when something unfinished blocks it, or nothing differs from the live edition
     * @throws StaleRevision
     */
    public function publish(string $note, ?int $revision, ?int $from = null, ?\Closure $despite = null): Edition
    {
        $draft = $this->draft->read();
        if (null !== $revision && $draft->revision !== $revision) {
            throw StaleRevision::of('The draft', $draft->revision);
        }
        $unreadable = $this->draft->unreadable($draft);
        if ([] !== $unreadable) {
            throw new NotPublishable(
                \sprintf('%s cannot be read: put its last good state back, or delete it, first.', $unreadable[0]->name),
            );
        }
        $blocking = array_values(
            array_filter(Checks::in($draft->plan), static fn(Finding $finding): bool => $finding->blocksPublishing),
        );
        if ([] !== $blocking) {
            throw new NotPublishable(
                \sprintf(
                    '%d unfinished %s must be mended first.',
                    \count($blocking),
                    1 === \count($blocking) ? 'thing' : 'things',
                ),
                $blocking,
            );
        }
        $document = PlanCodec::encode($draft->plan);
        // What could not be read back is never stored: this fails where anything in it does not hold.
        PlanCodec::readBack($document);

        $reasons = null === $despite ? [] : $despite($draft->plan);

        return $this->keep($document, $note, $from ?? $this->now->second(), $reasons);
    }

    /**
     * Publishes what an edition holds once more: calls are routed by it again.
     *
     * @throws NotFound
     * @throws Damaged
     * @throws NotPublishable when it is what is live
     */
    public function again(int $number): Edition
    {
        $edition = $this->get($number);
        if (!$edition->isIntact()) {
            throw new Damaged($number);
        }

        return $this->keep(
            $edition->document,
            \sprintf('Back to edition %d', $number),
            $this->now->second(),
            $edition->despite,
        );
    }

    /**
     * Takes an edition back before it comes into force.
     *
     * @throws NotFound
     * @throws NotPublishable when it is in force already, or was
     */
    public function revoke(int $number): Edition
    {
        $edition = $this->get($number);
        $isRevoked = $this->database->executeStatement(
            'UPDATE edition SET revoked_at = ? WHERE number = ? AND in_force_from > ? AND revoked_at IS NULL',
            [$this->now->second(), $number, $this->now->second()],
        );
        if (0 === $isRevoked) {
            throw new NotPublishable(
                \sprintf(
                    'Edition %d %s. Only what is still to come can be taken back.',
                    $number,
                    null === $edition->revokedAt ? 'came into force already' : 'was taken back already',
                ),
            );
        }
        $edition->revokedAt = $this->now->second();

        return $edition;
    }

    /** @param array<string, string> $despite */
    private function keep(string $document, string $note, int $from, array $despite): Edition
    {
        return $this->entities->wrapInTransaction(function () use ($document, $note, $from, $despite): Edition {
            $this->database->executeStatement('SELECT pg_advisory_xact_lock(?)', [self::LOCK]);
            $then = $this->live($from);
            $same = null === $then ? null : $this->get($then);
            if ($same?->document === $document) {
                throw new NotPublishable(
                    \sprintf(
                        'This is the same as edition %d, which %s.',
                        $same->number,
                        $from > $this->now->second() ? 'is in force then' : 'is live',
                    ),
                );
            }
            $last = $this->database->fetchOne('SELECT coalesce(max(number), 0) FROM edition');
            \assert(is_numeric($last));
            $publication = new Publication('demo', $this->now->moment(), $note, $despite);
            $edition = new Edition((int) $last + 1, $publication, $document, $from);
            $this->entities->persist($edition);

            return $edition;
        });
    }

    /** @throws NotFound */
    public function get(int $number): Edition
    {
        return $this->entities->find(Edition::class, $number) ??
            throw new NotFound(\sprintf('There is no edition %d.', $number));
    }

    /** The number of the edition that calls are routed by, now or at an instant to come; null where there is none. */
    public function live(?int $at = null): ?int
    {
        $at = max($at ?? 0, $this->now->second());
        for (
            $passed = 0;
            false !==
            ($row = $this->database->fetchNumeric(
                'SELECT number, checksum FROM edition WHERE in_force_from <= ? AND revoked_at IS NULL ORDER BY in_force_from DESC, number DESC LIMIT 1 OFFSET ?',
                [$at, $passed],
            ));
            ++$passed
        ) {
            /** @var array{int, string} $row */
            if ($this->isIntact($row[0], $row[1])) {
                return $row[0];
            }
        }

        return null;
    }

    /** @return array{int, int}|null the edition that comes into force next after an instant, and from when on */
    public function next(?int $after = null): ?array
    {
        /** @var array{int, int}|false $row */
        $row = $this->database->fetchNumeric(
            'SELECT number, in_force_from FROM edition WHERE in_force_from > ? AND revoked_at IS NULL ORDER BY in_force_from, number DESC LIMIT 1',
            [max($after ?? 0, $this->now->second())],
        );

        return false === $row ? null : $row;
    }

    /** @return int|null since when an edition is in force that is to be live at an instant; null where it is live already */
    public function since(int $at): ?int
    {
        $number = $this->live($at);
        $from = null === $number ? 0 : $this->get($number)->inForceFrom;

        return $from > $this->now->second() ? $from : null;
    }

    /** Looked at once, and then now and then: a document does not change by itself. */
    private function isIntact(int $number, string $checksum): bool
    {
        $name = self::name($number, $checksum) . '.intact';
        if (true === $this->memory->get($name)) {
            return true;
        }
        $isIntact = $this->get($number)->isIntact();
        $isIntact && $this->memory->keep($name, true, self::LOOKED_AT_EVERY);

        return $isIntact;
    }

    private static function name(int $number, string $checksum): string
    {
        return \sprintf('edition.%d.%s', $number, $checksum);
    }

    /**
     * @param int|null $before a number: those before it
     *
     * @return list<array<string, mixed>> the latest first, as JSON, without their documents
     */
    public function page(int $most, ?int $before): array
    {
        /** @var list<array{number: int, note: string, who: string, publishedAt: \DateTimeImmutable, checksum: string, inForceFrom: int, revokedAt: int|null, despite: array<string, string>}> $rows */
        $rows = $this->entities
            ->createQuery(
                'SELECT e.number, e.note, e.who, e.publishedAt, e.checksum, e.inForceFrom, e.revokedAt, e.despite FROM ' .
                    Edition::class .
                    ' e WHERE e.number < :before ORDER BY e.number DESC',
            )
            ->setParameter('before', $before ?? \PHP_INT_MAX >> 32)
            ->setMaxResults($most)
            ->getArrayResult();
        $moment = static fn(?int $at): ?string => null === $at ? null : gmdate(\DATE_RFC3339, $at);

        return array_map(
            static fn(array $row): array => [
                'number' => $row['number'],
                'note' => $row['note'],
                'who' => $row['who'],
                'at' => $row['publishedAt']->format(\DATE_RFC3339),
                'checksum' => $row['checksum'],
                'inForceFrom' => $moment($row['inForceFrom']),
                'revokedAt' => $moment($row['revokedAt']),
                'despite' => (object) $row['despite'],
            ],
            $rows,
        );
    }

    /** What publishing would change. */
    public function pending(): Differing
    {
        return (new Difference($this->database))->fromEdition($this->live() ?? 0);
    }

    /**
     * @param string $before "draft", "live" or an edition's number
     * @param string $after  the same
     *
     * @return list<string> elements that differ, by id; none where nothing is published yet
     */
    public function differing(string $before, string $after): array
    {
        $number = fn(string $which): ?int => 'draft' === $which
            ? null
            : ('live' === $which
                ? $this->live() ?? 0
                : (int) $which);

        return (new Difference($this->database))->ids($number($before), $number($after));
    }

    /** @return list<int> numbers of editions whose document is not the one that was published */
    public function damaged(): array
    {
        return array_map(
            static fn(mixed $number): int => is_numeric($number) ? (int) $number : 0,
            $this->database->fetchFirstColumn(
                "SELECT number FROM edition WHERE checksum <> encode(sha256(convert_to(document, 'UTF8')), 'hex') ORDER BY number",
            ),
        );
    }

    /** The latest edition, where it is damaged: calls are routed by an earlier one. */
    public function damagedLatest(): ?int
    {
        /** @var array{int, string}|false $last */
        $last = $this->database->fetchNumeric(
            'SELECT number, checksum FROM edition WHERE in_force_from <= ? AND revoked_at IS NULL ORDER BY in_force_from DESC, number DESC LIMIT 1',
            [$this->now->second()],
        );

        return false === $last || $this->isIntact($last[0], $last[1]) ? null : $last[0];
    }

    /**
     * @throws NotFound
     * @throws Damaged
     */
    public function plan(int $number): Plan
    {
        $checksum = $this->database->fetchOne('SELECT checksum FROM edition WHERE number = ?', [$number]);
        $name = self::name($number, \is_string($checksum) ? $checksum : '');
        $kept = $this->memory->get($name);
        $read = \is_string($kept) ? null : $this->document($number);
        null === $read || EditionSource::share($this->memory, $name, $read);

        return Plan::from(
            \is_string($kept) ? $kept : $read->name ?? '',
            new EditionSource(
                $this->memory,
                $name,
                fn(): Plan => $read ?? $this->document($number),
                fn(): string => $this->fingerprint($number),
            ),
        );
    }

    private function fingerprint(int $number): string
    {
        $found = $this->database->fetchOne(Shares::fingerprint($number));

        return \is_string($found) ? $found : '';
    }

    private function document(int $number): Plan
    {
        $edition = $this->get($number);
        if (!$edition->isIntact()) {
            throw new Damaged($number);
        }

        return PlanCodec::storedPlan($edition->document);
    }
}
