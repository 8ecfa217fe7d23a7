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

/** Published plans. The last one whose document is intact is live. */
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
     * @param int|null $revision of the draft that was looked at; null: whatever it is
     *
     * @throws NotPublishable when something unfinished blocks it, or nothing differs from the live edition
     * @throws StaleRevision
     */
    public function publish(string $note, ?int $revision): Edition
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

        return $this->entities->wrapInTransaction(function () use ($note, $document): Edition {
            $this->database->executeStatement('SELECT pg_advisory_xact_lock(?)', [self::LOCK]);
            $last = $this->last();
            if ($last?->document === $document && $last->isIntact()) {
                throw new NotPublishable(
                    \sprintf('The draft is the same as edition %d, which is live.', $last->number),
                );
            }
            $edition = new Edition(($last->number ?? 0) + 1, $note, 'demo', $this->now->moment(), $document);
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

    /** The number of the edition that calls are routed by; null where there is none. */
    public function live(): ?int
    {
        for (
            $before = \PHP_INT_MAX >> 32;
            false !==
            ($row = $this->database->fetchNumeric(
                'SELECT number, checksum FROM edition WHERE number < ? ORDER BY number DESC LIMIT 1',
                [$before],
            ));

        ) {
            /** @var array{int, string} $row */
            [$before, $checksum] = $row;
            if ($this->isIntact($before, $checksum)) {
                return $before;
            }
        }

        return null;
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
        /** @var list<array{number: int, note: string, who: string, publishedAt: \DateTimeImmutable, checksum: string}> $rows */
        $rows = $this->entities
            ->createQuery(
                'SELECT e.number, e.note, e.who, e.publishedAt, e.checksum FROM ' .
                    Edition::class .
                    ' e WHERE e.number < :before ORDER BY e.number DESC',
            )
            ->setParameter('before', $before ?? \PHP_INT_MAX >> 32)
            ->setMaxResults($most)
            ->getArrayResult();

        return array_map(
            static fn(array $row): array => [
                'number' => $row['number'],
                'note' => $row['note'],
                'who' => $row['who'],
                'at' => $row['publishedAt']->format(\DATE_RFC3339),
                'checksum' => $row['checksum'],
            ],
            $rows,
        );
    }

    /** @return array{revision: int, count: int, pending: list<array{id: string, kind: string, name: string, what: string}>} what publishing would change */
    public function pending(): array
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
        $last = $this->database->fetchNumeric('SELECT number, checksum FROM edition ORDER BY number DESC LIMIT 1');

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
        if (\is_string($kept)) {
            return Plan::from($kept, new EditionSource($this->memory, $name, fn(): Plan => $this->document($number)));
        }
        $plan = $this->document($number);
        EditionSource::share($this->memory, $name, $plan);

        return $plan;
    }

    private function document(int $number): Plan
    {
        $edition = $this->get($number);
        if (!$edition->isIntact()) {
            throw new Damaged($number);
        }

        return PlanCodec::storedPlan($edition->document);
    }

    private function last(): ?Edition
    {
        return $this->entities->getRepository(Edition::class)->findOneBy([], ['number' => 'DESC']);
    }
}
