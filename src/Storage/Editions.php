<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Meandros\Core\Plan\Check\Finding;
use Meandros\Core\Plan\Check\Findings;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Server\Now;
use Meandros\Server\Storage\Entity\Edition;

/** Published plans. The one with the highest number is live. */
final readonly class Editions
{
    private const LOCK = 7120002;

    public function __construct(private EntityManagerInterface $entities, private Connection $database, private Draft $draft, private Now $now)
    {
    }

    /** @throws NotPublishable when something unfinished blocks it, or nothing differs from the live edition */
    public function publish(string $note): Edition
    {
        return $this->entities->wrapInTransaction(function () use ($note): Edition {
            $this->database->executeStatement('SELECT pg_advisory_xact_lock(?)', [self::LOCK]);
            $plan = $this->draft->plan();
            $blocking = array_values(array_filter(Findings::in($plan), static fn (Finding $finding): bool => $finding->blocksPublishing));
            if ([] !== $blocking) {
                throw new NotPublishable(\sprintf('%d unfinished %s must be mended first.', \count($blocking), 1 === \count($blocking) ? 'thing' : 'things'), $blocking);
            }
            $document = PlanCodec::encode($plan);
            // What could not be read back is never stored: this fails where anything in it does not hold.
            PlanCodec::decode($document);
            $live = $this->live();
            if ($live?->document === $document) {
                throw new NotPublishable(\sprintf('The draft is the same as edition %d, which is live.', $live->number));
            }
            $edition = new Edition(($live->number ?? 0) + 1, $note, 'demo', $this->now->moment(), $document);
            $this->entities->persist($edition);

            return $edition;
        });
    }

    /** @throws NotFound */
    public function get(int $number): Edition
    {
        return $this->entities->find(Edition::class, $number) ?? throw new NotFound(\sprintf('There is no edition %d.', $number));
    }

    public function live(): ?Edition
    {
        return $this->entities->getRepository(Edition::class)->findOneBy([], ['number' => 'DESC']);
    }

    /** @return list<Edition> the latest first */
    public function all(): array
    {
        return $this->entities->getRepository(Edition::class)->findBy([], ['number' => 'DESC']);
    }

    /** @throws NotFound */
    public function plan(int $number): Plan
    {
        $edition = $this->get($number);
        if (!$edition->isIntact()) {
            throw new \RuntimeException(\sprintf('Edition %d does not match its checksum.', $number));
        }

        return PlanCodec::storedPlan($edition->document);
    }
}
